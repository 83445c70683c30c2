<?php

declare(strict_types=1);

namespace App\Planning;

use App\Clock\TimeLabel;
use App\Data\ChoiceData;
use App\Data\DraftData;
use App\Data\PlanData;
use App\Data\ReadingNoteData;
use App\Data\RetiredLevelData;
use App\Data\SetupKindData;
use App\Data\VariantOfferData;
use App\Data\WorkbenchData;
use App\Enums\PlanKind;
use App\Levels\CrossChecks;
use App\Levels\LevelReader;
use App\Levels\LevelWords;
use App\Market\Calendars;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use App\Models\Level;
use App\Models\Plan;
use App\Models\SetupKind;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\VariantKind;

/** Shows a plan and the workbench of one of its candidates. */
final readonly class WorkbenchPresenter
{
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
        private CandidatePresenter $candidates,
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
            $this->candidates->one($candidate, $plan, $series),
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
}
