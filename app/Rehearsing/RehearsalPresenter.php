<?php

declare(strict_types=1);

namespace App\Rehearsing;

use App\Clock\TimeLabel;
use App\Data\FigureData;
use App\Data\RehearsalCaseData;
use App\Data\RehearsalData;
use App\Data\RehearsalDeskData;
use App\Models\Instrument;
use App\Models\Rehearsal;
use App\Models\User;
use App\Planning\Variant;
use App\Support\Signed;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Outcomes\OutcomeStatus;
use Watchpost\Core\Rehearsal\RehearsedCase;
use Watchpost\Core\Rehearsal\Rule;
use Watchpost\Core\Rehearsal\Tally;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Statistics\Bootstrap;
use Watchpost\Core\Statistics\Interval;

/** Tells a rehearsal: its rule in words, what its cases come to, and never more than they can say. */
final readonly class RehearsalPresenter
{
    public function __construct(private LevelChoices $choices, private TimeLabel $times)
    {
    }

    public function desk(Variant $variant, User $author): RehearsalDeskData
    {
        $instrument = $variant->candidate->instrument;
        $last = Rehearsal::query()->with('instrument')
            ->where(['plan_id' => $variant->candidate->plan_id, 'instrument_id' => $instrument->id])
            ->latest('id')
            ->first();

        return new RehearsalDeskData(
            array_keys($this->choices->of($variant, $author)),
            $instrument->group,
            Instrument::query()->where('group', $instrument->group)->whereKeyNot($instrument->id)->get()->filter->isTraded()->count(),
            $last === null ? null : $this->rehearsal($last, $variant),
        );
    }

    public function rehearsal(Rehearsal $rehearsal, Variant $variant): RehearsalData
    {
        $rule = $rehearsal->toRule();
        $cases = $rehearsal->rehearsedCases();
        $tally = new Tally($cases);
        $over = ! $rehearsal->state->isUnderWay();

        return new RehearsalData(
            $rehearsal->id,
            $rehearsal->state,
            $rehearsal->steps_done,
            $rehearsal->steps_total,
            $rehearsal->message,
            $rule->at->words(),
            $rehearsal->scope,
            $rehearsal->sessions,
            self::words($rule),
            $over ? self::figures($tally) : [],
            $over && $tally->isTooFew() ? self::tooFew($tally) : null,
            $over ? $this->cases($cases) : [],
            $rehearsal->rule['setup']['draft'] !== json_decode(json_encode($variant->draft()->toState(), JSON_THROW_ON_ERROR), true),
        );
    }

    /** What came of a case, in words. */
    public static function outcome(RehearsedCase $case): string
    {
        return match (true) {
            $case->status === OutcomeStatus::Open => $case->reached ? 'target 1 reached, still open' : 'still open',
            $case->status === OutcomeStatus::Waiting => 'still waiting',
            $case->status === OutcomeStatus::NotTriggered => 'not triggered',
            $case->status === OutcomeStatus::Void => 'void',
            ! $case->wasFilled() => 'cancelled before entry',
            $case->reached => 'target 1 reached',
            default => 'out without a target',
        }.($case->assumed ? ', assumed' : '');
    }

    /**
     * @param list<RehearsedCase> $cases
     *
     * @return list<RehearsalCaseData> the latest first
     */
    private function cases(array $cases): array
    {
        $grids = Instrument::query()->whereIn('symbol', array_values(array_unique(array_map(static fn (RehearsedCase $case): string => $case->symbol, $cases))))->get()
            ->mapWithKeys(static fn (Instrument $one): array => [$one->symbol => $one->grid()]);
        $told = [];
        foreach ($cases as $number => $case) {
            /** @var PriceGrid $grid */
            $grid = $grids->get($case->symbol);
            $told[] = new RehearsalCaseData(
                $number,
                $case->symbol,
                $case->session,
                $this->times->plainDate($case->session),
                $grid->format($case->level),
                self::outcome($case),
                $case->r,
                $case->r === null ? null : (float) $case->r,
                $case->counts(),
            );
        }
        usort($told, static fn (RehearsalCaseData $a, RehearsalCaseData $b): int => [$b->session, $a->symbol] <=> [$a->session, $b->symbol]);

        return $told;
    }

    /** @return list<string> */
    private static function words(Rule $rule): array
    {
        $reach = number_format($rule->reach(), 1);
        $where = match ($rule->side()) {
            -1 => "{$rule->at->words()} no further than {$reach} ATR below the close",
            1 => "{$rule->at->words()} no further than {$reach} ATR above the close",
            default => $rule->at->words(),
        };
        $draft = $rule->setup->draft;
        $legs = array_map(static fn (DraftLeg $leg): string => str_replace('_', ' ', $leg->kind->value).($leg->price === null || ! $leg->kind->hasPrice() ? '' : ' '.self::distance($rule->setup->away($leg->price))), $draft->legs);
        $targets = array_map(static fn (DraftTarget $target): string => self::distance($rule->setup->away($target->price)), $draft->targets);

        return [
            $rule->side() === 0 ? "Every evening, from {$where}." : "Every evening with {$where}, as it was known then.",
            ucfirst($draft->side->value).': '.implode(', then ', $legs)
                .'; stop '.self::distance($rule->setup->away((int) $draft->stop))
                .($targets === [] ? '; no target' : '; '.(count($targets) === 1 ? 'target ' : 'targets ').implode(' and ', $targets)).'. All else as in the setup.',
            'Judged on day bars by the rules and costs of the record; where the order within a bar is not known, against the trade. One case at a time on an instrument.',
        ];
    }

    private static function distance(float $atr): string
    {
        return abs($atr) < 0.05 ? 'at it' : number_format(abs($atr), 1).' ATR '.($atr > 0 ? 'above it' : 'below it');
    }

    /** @return list<FigureData> */
    private static function figures(Tally $tally): array
    {
        $figures = [
            new FigureData('Cases', (string) $tally->cases, "{$tally->filled} filled".($tally->cases === 0 ? '' : ', '.round(100 * $tally->filled / $tally->cases).' %')),
            new FigureData('At their end', (string) $tally->ended, $tally->assumed === 0 ? 'these count below' : "these count below; in {$tally->assumed} the order within a bar was assumed"),
        ];
        if ($tally->reached !== null) {
            $figures[] = new FigureData('Target 1 first', self::percent($tally->reached), 'before the stop; '.self::between($tally->reached));
        }
        if ($tally->mean !== null) {
            $figures[] = new FigureData('Mean', self::r($tally->mean->mean).' R', self::range($tally->mean));
        }
        if ($tally->losses !== null) {
            $figures[] = new FigureData('Worst run', $tally->losses->longest.($tally->losses->longest === 1 ? ' loss' : ' losses'), 'in a row; the deepest fall '.self::r($tally->losses->greatest).' R');
        }

        return $figures;
    }

    private static function tooFew(Tally $tally): string
    {
        return "{$tally->ended} cases at their end are too few for a rate: it takes ".Tally::TOO_FEW.'. Look at them one by one, or rehearse it over more years or the whole group.';
    }

    private static function percent(Interval $interval): string
    {
        return round(100 * $interval->share).' %';
    }

    private static function between(Interval $interval): string
    {
        return '90 % interval '.round(100 * $interval->low).' to '.round(100 * $interval->high).' %';
    }

    private static function range(Bootstrap $mean): string
    {
        return '90 % interval '.self::r($mean->low).' to '.self::r($mean->high).' R';
    }

    private static function r(float $value): string
    {
        return Signed::of(number_format($value, 2));
    }
}
