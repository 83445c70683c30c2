<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\AddCandidate;
use App\Actions\AddVariant;
use App\Actions\AdoptLevel;
use App\Actions\ChangeOption;
use App\Actions\ChangeParts;
use App\Actions\ChangeSetup;
use App\Actions\JudgeCandidate;
use App\Actions\KeepKind;
use App\Actions\MarkLevel;
use App\Actions\NoteReading;
use App\Enums\CandidateState;
use App\Enums\LevelForm;
use App\Enums\LevelGrade;
use App\Levels\Check;
use App\Levels\CrossChecks;
use App\Levels\LevelTerms;
use App\Levels\NewLevel;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use App\Models\Instrument;
use App\Models\Plan;
use App\Models\SetupKind;
use App\Models\Tier;
use App\Models\User;
use App\Planning\Variant;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\VariantKind;
use Watchpost\Core\Sizing\OptionRight;
use Watchpost\Core\Sizing\OptionShape;

/**
 * The author at work in the demo: what an evening is made of, by the same actions that people use.
 *
 * @phpstan-import-type Changes from ChangeSetup
 */
final readonly class DemoDesk
{
    public function __construct(private ChartBuilder $charts)
    {
    }

    /**
     * @param float $away distance of the entry from the last close, in average true ranges
     * @param float                                                            $stop distance of the stop from the entry, likewise
     * @param bool $marked whether levels are marked too
     * @param (callable(callable(float): string): array<string, mixed>)|null $more what the setup says beside; given the price at a distance
     */
    public function planned(Plan $plan, string $symbol, Side $side, string $trigger, float $away, float $stop = 1.1, int $goodFor = 5, string $readers = Tier::VISITORS, ?callable $more = null, bool $marked = true): void
    {
        $series = $this->series($symbol);
        $atr = $this->charts->atr($series) ?? 0.0;
        $close = $series->lastClose() ?? 0;
        $price = fn (float $distance): string => $series->grid->format($series->grid->nearestTick($close + $distance * $atr));
        $d = $side->sign();
        $candidate = $this->candidate($plan, $symbol);
        if ($marked) {
            $this->levels($candidate, $series);
            $this->adopt($candidate, LevelKind::Zone, 2);
        }
        /** @var Changes $changes */
        $changes = [
            'side' => $side->value,
            ...($more === null ? ['trigger' => $trigger, 'entry' => $price($away)] : $more($price)),
            'stop' => $price($away - $d * $stop),
            'targets' => [
                ['price' => $price($away + $d * 1.55 * $stop), 'share' => '0.5'],
                ['price' => $price($away + $d * 2.9 * $stop), 'share' => '0.5'],
            ],
            'good_for' => $goodFor,
        ];
        app(ChangeSetup::class)(new Variant($candidate), $changes);
        (new JudgeCandidate())($candidate->refresh(), CandidateState::Kept, '', $readers);
    }

    /**
     * A kind of setup with a planned one as its defaults.
     *
     * @param list<array{string, string}> $checklist
     */
    public function kind(User $author, string $name, Plan $plan, string $symbol, array $checklist): SetupKind
    {
        $lines = array_map(static fn (array $line): array => ['kind' => $line[0], 'value' => $line[1]], $checklist);
        $kind = app(KeepKind::class)($author, null, $name, $lines, $this->first($plan, $symbol));
        $this->ofKind($plan, $symbol, $kind);

        return $kind;
    }

    /** Says of what kind a planned setup is; what only a person can judge is ticked. */
    public function ofKind(Plan $plan, string $symbol, SetupKind $kind): void
    {
        $variant = $this->first($plan, $symbol);
        $own = array_filter($kind->checklist, static fn (array $line): bool => $line['kind'] === SetupKind::OWN);
        $variant->keep($variant->draft(), 'kind', null, ['setup_kind_id' => $kind->id, 'ticked' => array_values(array_column($own, 'value'))]);
    }

    public function first(Plan $plan, string $symbol): Variant
    {
        return new Variant($plan->candidates()->with(['plan', 'instrument', 'setups'])->whereRelation('instrument', 'symbol', $symbol)->firstOrFail());
    }

    /** The same idea as a vertical: bought near the entry, sold near the first target, for a third of the way between them. */
    public function inOptions(Plan $plan, string $symbol): void
    {
        $variant = $this->first($plan, $symbol);
        $draft = $variant->draft();
        $grid = $variant->candidate->instrument->grid();
        $one = 10 ** $grid->decimals;
        $strike = static fn (int $price): int => (int) round($price / $one) * $one;
        $bought = $strike($draft->entry()->price ?? 0);
        $sold = max($bought + $one, $strike($draft->targetPrices()[1] ?? $bought + 3 * $one));
        $width = ($sold - $bought) / $one;
        app(ChangeOption::class)($variant, [
            'shape' => OptionShape::Vertical,
            'right' => OptionRight::Call,
            'expiry' => '2026-11-20',
            'multiplier' => '100',
            'strikes' => [(string) intdiv($bought, $one), (string) intdiv($sold, $one)],
            'premiums' => [number_format($width * 0.6, 2, '.', ''), number_format($width * 0.25, 2, '.', '')],
        ]);
    }

    /** A second way to trade what is planned. */
    public function variant(Plan $plan, string $symbol, VariantKind $kind): void
    {
        app(AddVariant::class)($this->first($plan, $symbol), $kind);
    }

    public function passed(Plan $plan, string $symbol, string $reason): void
    {
        (new JudgeCandidate())($this->candidate($plan, $symbol), CandidateState::Passed, $reason, Tier::VISITORS);
    }

    public function candidate(Plan $plan, string $symbol): Candidate
    {
        return (new AddCandidate())($plan, Instrument::query()->where('symbol', $symbol)->firstOrFail())->load(['plan', 'instrument', 'setups']);
    }

    /** Writes the first text of a plan. */
    public function write(Plan $plan, string $text): void
    {
        (new ChangeParts())->write($plan, $plan->parts[0]['id'], ['text' => $text], null);
    }

    /** The extremes that anyone would mark first. */
    public function levels(Candidate $candidate, Series $series): void
    {
        foreach ([[60, LevelGrade::Major], [15, LevelGrade::Minor]] as [$sessions, $grade]) {
            $extremes = [
                'high' => max([0, ...array_slice($series->high, -$sessions)]),
                'low' => min([PHP_INT_MAX, ...array_slice($series->low, -$sessions)]),
            ];
            foreach ($extremes as $which => $price) {
                if ($candidate->plan->levelsOn($candidate->instrument_id)->where('price', $price)->doesntExist()) {
                    app(MarkLevel::class)($candidate, NewLevel::at($price, "{$sessions}-session {$which}", $grade));
                }
            }
        }
    }

    /** A candidate in the middle of an evening: levels marked and taken over, its shape named, no setup yet. */
    public function read(Candidate $candidate): void
    {
        $this->levels($candidate, $this->series($candidate->instrument->symbol));
        $this->adopt($candidate, LevelKind::Zone, 2);
        $this->adopt($candidate, LevelKind::Line, 1);
        app(MarkLevel::class)($candidate, new NewLevel(LevelForm::Average, 0, 'SMA 50', terms: new LevelTerms(average: 'sma', period: 50)));
        (new NoteReading())($candidate, [
            'shape' => 'higher low',
            'cleanness' => 4,
            'speaks_for' => 'Back above both averages, and the group leads.',
            'speaks_against' => 'The highs of September are near.',
            'conviction' => 3,
            'wrong_if' => 'It closes back below both averages.',
        ]);
    }

    /** Takes over the best found levels of a kind near price. */
    private function adopt(Candidate $candidate, LevelKind $kind, int $count): void
    {
        $checks = app(CrossChecks::class)->of($candidate->instrument, $candidate->plan->author, TimeFrame::Day);
        $best = array_filter($checks, static fn (Check $check): bool => $check->found->kind === $kind && $check->timeFrame === TimeFrame::Day && ($check->found->details['state'] ?? 'open') === 'open');
        usort($best, static fn (Check $a, Check $b): int => $b->found->score <=> $a->found->score);
        foreach (array_slice($best, 0, $count) as $check) {
            app(AdoptLevel::class)($candidate, $check);
        }
    }

    public function series(string $symbol): Series
    {
        return $this->charts->series(Instrument::query()->where('symbol', $symbol)->firstOrFail(), 60);
    }
}
