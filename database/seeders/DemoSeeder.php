<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\AddCandidate;
use App\Actions\AddVariant;
use App\Actions\AdoptLevel;
use App\Actions\ChangeOption;
use App\Actions\ChangeSetup;
use App\Actions\JudgeCandidate;
use App\Actions\KeepKind;
use App\Actions\MarkLevel;
use App\Actions\NoteReading;
use App\Actions\PublishPlan;
use App\Actions\WriteBias;
use App\Clock\MarketClock;
use App\Enums\CandidateState;
use App\Enums\LevelForm;
use App\Enums\LevelGrade;
use App\Enums\Role;
use App\Feeds\SimulatedFeed;
use App\Levels\Check;
use App\Levels\CrossChecks;
use App\Levels\LevelTerms;
use App\Levels\NewLevel;
use App\Market\ChartBuilder;
use App\Market\MarketAdvance;
use App\Models\Candidate;
use App\Models\Exchange;
use App\Models\Instrument;
use App\Models\Plan;
use App\Models\PublishedSetup;
use App\Models\SetupKind;
use App\Models\Tier;
use App\Models\User;
use App\Planning\CurrentPlan;
use App\Planning\Variant;
use App\Record\SetupEvaluator;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\DB;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\VariantKind;
use Watchpost\Core\Sizing\OptionRight;
use Watchpost\Core\Sizing\OptionShape;
use Watchpost\Simulator\QuayExchange;

/**
 * The demo: the made-up coast with twelve years of history, its author and readers, an edition published a week ago
 * into a market that had not moved yet, and the draft of tonight's plan. All of it is made by the same actions that
 * people use; every outcome is the engine's.
 *
 * @phpstan-import-type Changes from ChangeSetup
 */
final class DemoSeeder extends Seeder
{
    public const PASSWORD = 'lantern';

    private ChartBuilder $charts;
    private CurrentPlan $current;

    public function __construct(
        private readonly SimulatedFeed $feed,
        private readonly MarketClock $clock,
        private readonly MarketAdvance $market,
    ) {
    }

    public function run(): void
    {
        $evening = (int) strtotime(config()->string('watchpost.demo.evening'));
        $earlier = (int) strtotime(config()->string('watchpost.demo.earlier_evening'));

        DB::transaction(function () use ($evening, $earlier): void {
            $author = $this->people();
            $this->instruments();
            // these need the exchanges to be there
            $this->charts = app(ChartBuilder::class);
            $this->current = app(CurrentPlan::class);
            $this->feed->deliverHistory($earlier, $this->fineFrom($evening), config()->string('watchpost.simulator.first_date'));
            $this->clock->moveTo($earlier);
            $this->earlierEdition($author);
            $this->market->to($evening);
            foreach (PublishedSetup::query()->with(['edition', 'instrument'])->get() as $published) {
                app(SetupEvaluator::class)->evaluate($published);
            }
            $this->draftOfTonight($author);
        });
    }

    /** The date from which bars of five minutes are kept. */
    private function fineFrom(int $evening): string
    {
        $calendar = QuayExchange::calendar();
        $sessions = $calendar->between(QuayExchange::FIRST_DATE, $calendar->dateOf($evening));

        return $sessions[max(0, count($sessions) - config()->integer('watchpost.simulator.fine_sessions'))]->date;
    }

    private function people(): User
    {
        $author = $this->person('Maren Holloway', 'maren', Role::Author);
        $this->person('Tobias Fenn', 'tobias', Role::Assistant, worksFor: $author);
        $this->person('Ines Calder', 'ines', Role::Subscriber, 'pilot');
        $this->person('Jonas Wick', 'jonas', Role::Subscriber, 'harbour');

        return $author;
    }

    private function person(string $name, string $address, Role $role, ?string $tier = null, ?User $worksFor = null): User
    {
        return User::query()->create([
            'name' => $name,
            'email' => "{$address}@watchpost.test",
            'password' => self::PASSWORD,
            'role' => $role,
            'tier' => $tier,
            'works_for_id' => $worksFor?->id,
            'joined_at' => config()->string('watchpost.demo.earlier_evening'),
        ]);
    }

    private function instruments(): void
    {
        foreach (QuayExchange::exchanges() as $calendar) {
            Exchange::list($calendar);
        }
        foreach (QuayExchange::listings() as $listing) {
            Instrument::list($listing->instrument);
        }
    }

    private function earlierEdition(User $author): void
    {
        $plan = $this->current->of($author);
        (new WriteBias())($plan, 'The index holds its range; strength is bought on pullbacks, breaks need room above them.');
        // a split takes effect while this one is open
        $this->planned($plan, 'OAKL.Q', Side::Long, 'touch', -0.6, stop: 3.2, goodFor: 10);
        $this->planned($plan, 'TARN.Q', Side::Long, 'touch', -0.3, stop: 3.2, goodFor: 10);
        $this->planned($plan, 'PINE.Q', Side::Short, 'break', -0.5);
        $this->planned($plan, 'KELP.Q', Side::Long, 'touch', -2.6, goodFor: 15);
        $this->planned($plan, 'RAMP.Q', Side::Short, 'overshoot', 0.7, more: static fn (callable $price): array => [
            'legs' => [['kind' => 'overshoot', 'price' => $price(0.7), 'beyond' => '', 'timeframe' => '1d', 'bars' => 2]],
        ]);
        $this->planned($plan, 'SKDO.Q', Side::Long, 'retest', 0.4, goodFor: 10, more: static fn (callable $price): array => [
            'legs' => [['kind' => 'retest', 'price' => $price(0.4), 'timeframe' => '1d']],
            'stop_closes' => ['timeframe' => '1d', 'times' => 1],
        ]);
        $this->planned($plan, 'GRIT.Q', Side::Long, 'break', 0.6, readers: 'pilot', more: static fn (callable $price): array => [
            'legs' => [
                ['name' => 'starter', 'share' => '0.4', 'kind' => 'break', 'price' => $price(0.6)],
                ['name' => 'add', 'share' => '0.6', 'kind' => 'close_beyond', 'price' => $price(0.9), 'timeframe' => '1d', 'needs' => 'starter'],
            ],
            'stop_moves' => [['after' => 'target', 'afterValue' => '1', 'to' => 'atr', 'timeframe' => '1d', 'period' => '14', 'multiple' => '2']],
        ]);
        $this->planned($plan, 'FERN.Q', Side::Long, 'close_beyond', 0.5, goodFor: 10, more: static fn (callable $price): array => [
            'legs' => [['kind' => 'close_beyond', 'price' => $price(0.5), 'timeframe' => '1h', 'times' => 2]],
            'conditions' => [['kind' => 'average_above', 'type' => 'ema', 'period' => '20']],
            'stop_moves' => [['after' => 'r', 'afterValue' => '1', 'to' => 'entry']],
        ]);
        $this->planned($plan, 'SILT.Q', Side::Long, 'open', 0.0, more: static fn (): array => [
            'legs' => [['kind' => 'open', 'gapMin' => '-1', 'gapMax' => '1']],
            'open_exit' => ['session' => 3],
        ]);
        $this->planned($plan, 'BALM.Q', Side::Short, 'market', 0.0, more: static fn (): array => [
            'legs' => [['kind' => 'market']],
            'time_stop' => 8,
        ]);
        $this->planned($plan, 'BRNZ-2612.Q', Side::Short, 'touch', 0.5, readers: 'pilot');
        $pullback = $this->kind($author, 'Pullback to support', $plan, 'TARN.Q', [['reward_min', '1.5'], ['stop_min', '0.8'], ['sma_above', '200'], ['no_earnings', '0'], [SetupKind::OWN, 'The level is seen on the week chart too']]);
        $break = $this->kind($author, 'Break of a range', $plan, 'GRIT.Q', [['reward_min', '2'], ['volume_min', '1'], [SetupKind::OWN, 'Room above: no major level within 2 ATR']]);
        foreach (['OAKL.Q' => $pullback, 'KELP.Q' => $pullback, 'PINE.Q' => $break, 'FERN.Q' => $break] as $symbol => $kind) {
            $this->ofKind($plan, $symbol, $kind);
        }
        $this->inOptions($plan, 'FERN.Q');
        // two patiences, and a plan for both ways out of a range
        $this->variant($plan, 'TARN.Q', VariantKind::Patient);
        $this->variant($plan, 'PINE.Q', VariantKind::OtherSide);
        $this->passed($plan, 'MOSS.Q', 'Stretched far above its averages; no level near enough for a stop.');
        app(PublishPlan::class)($plan);
    }

    private function draftOfTonight(User $author): void
    {
        $plan = $this->current->of($author);
        (new WriteBias())($plan, 'A quiet tape into Lamplighters\' Day: fewer names, near stops.');
        $this->planned($plan, 'BRKF.Q', Side::Long, 'touch', -0.7);
        $this->ofKind($plan, 'BRKF.Q', SetupKind::of($author)->where('name', 'Pullback to support')->firstOrFail());
        $this->variant($plan, 'BRKF.Q', VariantKind::Patient);
        $this->planned($plan, 'OAKL.Q', Side::Long, 'break', 0.6);
        $this->read($this->candidate($plan, 'GORSE.Q'));
        $this->candidate($plan, 'HEATH.Q');
        $this->passed($plan, 'LANT.Q', 'Swings of a day are wider than any stop worth taking.');
        $plan->changes()->delete();
        $plan->update(['change_position' => 0]);
    }

    /**
     * @param float $away distance of the entry from the last close, in average true ranges
     * @param float                                                            $stop distance of the stop from the entry, likewise
     * @param (callable(callable(float): string): array<string, mixed>)|null $more what the setup says beside; given the price at a distance
     */
    private function planned(Plan $plan, string $symbol, Side $side, string $trigger, float $away, float $stop = 1.1, int $goodFor = 5, string $readers = Tier::VISITORS, ?callable $more = null): void
    {
        $series = $this->series($symbol);
        $atr = $this->charts->atr($series) ?? 0.0;
        $close = $series->lastClose() ?? 0;
        $price = fn (float $distance): string => $series->grid->format($series->grid->nearestTick($close + $distance * $atr));
        $d = $side->sign();
        $candidate = $this->candidate($plan, $symbol);
        $this->levels($candidate, $series);
        $this->adopt($candidate, LevelKind::Zone, 2);
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
    private function kind(User $author, string $name, Plan $plan, string $symbol, array $checklist): SetupKind
    {
        $lines = array_map(static fn (array $line): array => ['kind' => $line[0], 'value' => $line[1]], $checklist);
        $kind = app(KeepKind::class)($author, null, $name, $lines, $this->first($plan, $symbol));
        $this->ofKind($plan, $symbol, $kind);

        return $kind;
    }

    /** Says of what kind a planned setup is; what only a person can judge is ticked. */
    private function ofKind(Plan $plan, string $symbol, SetupKind $kind): void
    {
        $variant = $this->first($plan, $symbol);
        $own = array_filter($kind->checklist, static fn (array $line): bool => $line['kind'] === SetupKind::OWN);
        $variant->keep($variant->draft(), 'kind', null, ['setup_kind_id' => $kind->id, 'ticked' => array_values(array_column($own, 'value'))]);
    }

    private function first(Plan $plan, string $symbol): Variant
    {
        return new Variant($plan->candidates()->with(['plan', 'instrument', 'setups'])->whereRelation('instrument', 'symbol', $symbol)->firstOrFail());
    }

    /** The same idea as a vertical: bought near the entry, sold near the first target, for a third of the way between them. */
    private function inOptions(Plan $plan, string $symbol): void
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
    private function variant(Plan $plan, string $symbol, VariantKind $kind): void
    {
        app(AddVariant::class)($this->first($plan, $symbol), $kind);
    }

    private function passed(Plan $plan, string $symbol, string $reason): void
    {
        (new JudgeCandidate())($this->candidate($plan, $symbol), CandidateState::Passed, $reason, Tier::VISITORS);
    }

    private function candidate(Plan $plan, string $symbol): Candidate
    {
        return (new AddCandidate())($plan, Instrument::query()->where('symbol', $symbol)->firstOrFail())->load(['plan', 'instrument', 'setups']);
    }

    /** The extremes that anyone would mark first. */
    private function levels(Candidate $candidate, Series $series): void
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
    private function read(Candidate $candidate): void
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

    private function series(string $symbol): Series
    {
        return $this->charts->series(Instrument::query()->where('symbol', $symbol)->firstOrFail(), 60);
    }
}
