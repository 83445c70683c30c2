<?php

declare(strict_types=1);

namespace App\Planning;

use App\Clock\TimeLabel;
use App\Data\CandidateData;
use App\Data\CandidateLinkData;
use App\Data\ChoiceData;
use App\Data\DraftData;
use App\Data\InstrumentData;
use App\Data\PlanData;
use App\Data\ReadingNoteData;
use App\Data\RetiredLevelData;
use App\Data\SetupKindData;
use App\Data\VariantData;
use App\Data\VariantOfferData;
use App\Data\WorkbenchData;
use App\Enums\CandidateState;
use App\Enums\PlanKind;
use App\Levels\CrossChecks;
use App\Levels\LevelReader;
use App\Levels\LevelWords;
use App\Market\Calendars;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use App\Models\Level;
use App\Models\Plan;
use App\Models\Setup;
use App\Models\SetupKind;
use Watchpost\Core\Levels\Distance;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\VariantKind;

/** Shows a plan, its candidates and the workbench of one of them. */
final readonly class WorkbenchPresenter
{
    private const SHORT_SERIES = 30;
    /** ATR within which price is near. */
    private const NEAR = 0.5;

    public function __construct(
        private ChartBuilder $charts,
        private ExchangeCalendar $calendar,
        private Calendars $calendars,
        private SetupPresenter $setups,
        private TimeLabel $times,
        private LevelReader $levels,
        private CrossChecks $checks,
        private LadderPresenter $ladder,
        private PlanDates $dates,
    ) {
    }

    public function plan(Plan $plan): PlanData
    {
        [$moment, $what] = $this->dates->deadline($plan);

        return new PlanData(
            $plan->id,
            $plan->kind,
            $plan->kind->label(),
            $this->dates->words($plan->session_date, $plan->through_date),
            $plan->session_date,
            $this->times->opening($plan->session_date),
            "{$this->times->full($moment)}, when {$what} opens",
            $plan->is_late,
            $plan->bias,
            PlanHistory::nextUndo($plan),
            PlanHistory::nextRedo($plan),
            $plan->revision,
            array_values(Plan::drafts($plan->author)->orderBy('session_date')->orderBy('id')->get()->map(fn (Plan $draft): DraftData => new DraftData($draft->id, "{$draft->kind->label()}, {$this->dates->words($draft->session_date, $draft->through_date)}", $draft->kind))->all()),
            array_map(fn (Session $session): ChoiceData => new ChoiceData($session->date, $this->dates->words($session->date, $this->dates->from($plan->kind, $session->date)['through_date']).($this->dates->isRunning($session->date) ? ', open already' : '')), $this->dates->choices($plan->kind)),
            array_map(static fn (PlanKind $kind): ChoiceData => new ChoiceData($kind->value, $kind->label()), PlanKind::cases()),
        );
    }

    /** @return list<CandidateData> */
    public function candidates(Plan $plan): array
    {
        return array_values($plan->candidates()->with(['instrument', 'setups'])->get()
            ->map(fn (Candidate $candidate): CandidateData => $this->candidate($candidate, $plan, $this->charts->series($candidate->instrument, self::SHORT_SERIES)))
            ->all());
    }

    /** @return list<CandidateLinkData> */
    public function links(Plan $plan): array
    {
        return array_values($plan->candidates()->with(['instrument', 'setups'])->get()
            ->map(fn (Candidate $candidate): CandidateLinkData => new CandidateLinkData($candidate->id, $candidate->instrument->symbol, $candidate->state, $this->setupNote($candidate)))
            ->all());
    }

    /**
     * @param TimeFrame   $shown the chart in view: a smaller one brings its own zones and lines
     * @param string|null $asOf  the evening of the cross-check, if it is an earlier one
     */
    public function workbench(Variant $variant, Series $series, TimeFrame $shown = TimeFrame::Day, ?string $asOf = null): WorkbenchData
    {
        $candidate = $variant->candidate;
        $plan = $candidate->plan;
        $atr = $this->charts->atr($series);
        $draft = $variant->draft();
        $levels = $plan->levelsOn($candidate->instrument_id)->orderBy('id')->get();
        $input = $series->count() === 0 ? null : new LevelInput($series);
        $own = $input === null ? [] : $this->levels->readAll($levels->reject->isRetired(), $input);

        return new WorkbenchData(
            $this->candidate($candidate, $plan, $series),
            $input === null ? [] : $this->ladder->rows($draft, $own, $this->checks->of($candidate->instrument, $plan->author, $shown, $asOf), $input),
            $series->count() === 0 ? [] : [...$series->session, $this->nextSession($candidate, $series)],
            array_values($levels->filter->isRetired()->sortByDesc('retired_at')->map(fn (Level $level): RetiredLevelData => new RetiredLevelData(
                $level->id,
                LevelWords::of($level, $series->grid),
                $level->origin,
                $this->times->shortDate($this->calendar->dateOf((int) $level->retired_at)),
                $level->retired_because,
            ))->all()),
            $asOf,
            $this->setups->present($variant, $draft, $series, $own, $atr),
            $variant->number,
            $candidate->either_or,
            self::ways($variant, $draft),
            array_values(SetupKind::of($plan->author)->get()->map(SetupKindData::of(...))->all()),
            new ReadingNoteData($candidate->shape, $candidate->cleanness, $candidate->speaks_for, $candidate->speaks_against, $candidate->conviction, $candidate->wrong_if, $candidate->wrong_at === null ? null : $series->grid->format($candidate->wrong_at)),
            $atr === null ? null : $series->grid->format((int) round($atr)),
            $atr === null ? null : $atr / 10 ** $series->grid->decimals,
            PlanHistory::nextUndo($plan),
            PlanHistory::nextRedo($plan),
            $plan->id,
            $plan->revision,
        );
    }

    /** @return list<VariantOfferData> */
    private static function ways(Variant $variant, Draft $draft): array
    {
        return ! $draft->isComplete() || $variant->candidate->setups->count() >= Variant::MOST
            ? []
            : array_map(static fn (VariantKind $kind): VariantOfferData => new VariantOfferData($kind, $kind->label($draft->side)), VariantKind::cases());
    }

    private function nextSession(Candidate $candidate, Series $series): string
    {
        $calendar = $this->calendars->of($candidate->instrument);
        $close = $calendar->session($series->session[$series->count() - 1])->close ?? $series->start[$series->count() - 1];

        return $calendar->opening($close)->date;
    }

    private function candidate(Candidate $candidate, Plan $plan, Series $series): CandidateData
    {
        $close = $series->lastClose();
        $before = $series->close[$series->count() - 2] ?? null;
        /** @var list<int> $prices of the levels in use */
        $prices = $plan->levelsOn($candidate->instrument_id)->alive()->pluck('price')->all();
        $wouldChange = $candidate->would_change === null ? null : $series->grid->format($candidate->would_change);

        return new CandidateData(
            $candidate->id,
            InstrumentData::of($candidate->instrument),
            $candidate->state,
            $candidate->reason,
            $candidate->no_trade,
            $wouldChange,
            $candidate->state === CandidateState::Passed ? $candidate->no_trade->sentence($candidate->reason, $wouldChange) : '',
            $candidate->readers,
            $candidate->source,
            $candidate->source->label().($candidate->source_note === '' ? '' : ", {$candidate->source_note}"),
            $candidate->theme,
            $close === null ? '' : $this->standing($candidate, $prices, $close, $this->charts->atr($series)),
            $candidate->relation,
            $close === null ? null : $series->grid->format($close),
            $close === null || $before === null ? null : Distance::from($close, $before, null)->percent,
            count($prices),
            array_map($series->grid->toFloat(...), array_slice($series->close, -self::SHORT_SERIES)),
            array_map($series->grid->toFloat(...), $prices),
            $this->setupNote($candidate),
            array_values($candidate->setups->map(fn (Setup $setup): VariantData => $this->setups->variant($candidate, $plan, $setup, $series->grid, $close))->all()),
        );
    }

    /**
     * Where price stands: at the entry that is planned, or among the levels that are marked.
     *
     * @param list<int> $levels in units
     */
    private function standing(Candidate $candidate, array $levels, int $close, ?float $atr): string
    {
        if ($candidate->state === CandidateState::Passed) {
            return 'not interested';
        }
        if ($candidate->stillStands()) {
            return $candidate->relation?->words() ?? '';
        }
        $entries = array_values(array_filter($candidate->setups->map(static fn (Setup $setup): ?int => $setup->draft()->entryPrice())->all(), static fn (?int $price): bool => $price !== null));
        $near = static fn (array $prices): ?float => $prices === [] || $atr === null || $atr <= 0.0 ? null : min(array_map(static fn (int $price): float => abs($price - $close) / $atr, $prices));
        $entry = $near($entries);
        $level = $near($levels);

        return match (true) {
            $entry !== null => ($entry <= self::NEAR ? 'near' : 'not yet').', entry '.number_format($entry, 1).' ATR away',
            $level === null => '',
            default => $level <= self::NEAR ? 'near a level' : 'between levels',
        };
    }

    private function setupNote(Candidate $candidate): string
    {
        return match (true) {
            $candidate->state === CandidateState::Passed => 'passed',
            $candidate->setups->isEmpty() => 'no setup yet',
            ! $candidate->isPlanned() => 'setup begun',
            default => 'planned',
        };
    }
}
