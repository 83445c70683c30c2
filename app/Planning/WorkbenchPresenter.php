<?php

declare(strict_types=1);

namespace App\Planning;

use App\Clock\TimeLabel;
use App\Data\CandidateData;
use App\Data\CandidateLinkData;
use App\Data\InstrumentData;
use App\Data\LadderRowData;
use App\Data\PlanData;
use App\Data\ReadingNoteData;
use App\Data\RetiredLevelData;
use App\Data\RScaleData;
use App\Data\SetupData;
use App\Data\StripData;
use App\Data\TargetData;
use App\Data\WorkbenchData;
use App\Enums\CandidateState;
use App\Levels\CrossChecks;
use App\Levels\LevelReader;
use App\Levels\LevelWords;
use App\Market\Calendars;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use App\Models\Level;
use App\Models\Plan;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Illuminate\Database\Eloquent\Collection;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Levels\Distance;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\RStrip;
use Watchpost\Core\Setups\Sentence;
use Watchpost\Core\Setups\Setup;

/** Shows a plan, its candidates and the workbench of one of them. */
final readonly class WorkbenchPresenter
{
    private const SHORT_SERIES = 30;

    public function __construct(
        private ChartBuilder $charts,
        private ExchangeCalendar $calendar,
        private Calendars $calendars,
        private GoodUntil $goodUntil,
        private TimeLabel $times,
        private LevelReader $levels,
        private CrossChecks $checks,
        private LadderPresenter $ladder,
    ) {
    }

    public function plan(Plan $plan): PlanData
    {
        return new PlanData(
            $plan->id,
            $this->times->date($plan->session_date),
            $this->times->opening($plan->session_date),
            $plan->bias,
            PlanHistory::nextUndo($plan),
            PlanHistory::nextRedo($plan),
        );
    }

    /** @return list<CandidateData> */
    public function candidates(Plan $plan): array
    {
        return array_values($plan->candidates()->with(['instrument', 'setup'])->get()
            ->map(fn (Candidate $candidate): CandidateData => $this->candidate($candidate, $plan, $this->charts->series($candidate->instrument, self::SHORT_SERIES)))
            ->all());
    }

    /** @return list<CandidateLinkData> */
    public function links(Plan $plan): array
    {
        return array_values($plan->candidates()->with(['instrument', 'setup'])->get()
            ->map(fn (Candidate $candidate): CandidateLinkData => new CandidateLinkData($candidate->id, $candidate->instrument->symbol, $candidate->state, $this->setupNote($candidate)))
            ->all());
    }

    /**
     * @param TimeFrame   $shown the chart in view: a smaller one brings its own zones and lines
     * @param string|null $asOf  the evening of the cross-check, if it is an earlier one
     */
    public function workbench(Candidate $candidate, Series $series, TimeFrame $shown = TimeFrame::Day, ?string $asOf = null): WorkbenchData
    {
        $candidate->load(['instrument', 'setup']);
        $plan = $candidate->plan;
        $atr = $this->charts->atr($series);
        $draft = DraftSetups::of($candidate);
        $shownAs = $this->candidate($candidate, $plan, $series);
        $levels = $plan->levelsOn($candidate->instrument_id)->orderBy('id')->get();

        return new WorkbenchData(
            $shownAs,
            $series->count() === 0 ? [] : $this->rows($candidate, $draft, $levels->reject->isRetired(), $series, $shown, $asOf),
            $series->count() === 0 ? [] : [...$series->session, $this->nextSession($candidate, $series)],
            array_values($levels->filter->isRetired()->sortByDesc('retired_at')->map(fn (Level $level): RetiredLevelData => new RetiredLevelData(
                $level->id,
                LevelWords::of($level, $series->grid),
                $level->origin,
                $this->times->shortDate($this->calendar->dateOf((int) $level->retired_at)),
                $level->retired_because,
            ))->all()),
            $asOf,
            $this->setup($candidate, $plan, $draft, $series, $shownAs),
            new ReadingNoteData($candidate->shape, $candidate->cleanness, $candidate->speaks_for, $candidate->speaks_against),
            $atr === null ? null : $series->grid->format((int) round($atr)),
            $atr === null ? null : $atr / 10 ** $series->grid->decimals,
            PlanHistory::nextUndo($plan),
            PlanHistory::nextRedo($plan),
        );
    }

    /**
     * @param Collection<int, Level> $levels
     *
     * @return list<LadderRowData>
     */
    private function rows(Candidate $candidate, Draft $draft, Collection $levels, Series $series, TimeFrame $shown, ?string $asOf): array
    {
        $input = new LevelInput($series);
        $own = $this->levels->readAll($levels, $input);

        return $this->ladder->rows($draft, $own, $this->checks->of($candidate->instrument, $candidate->plan->author, $shown, $asOf), $input);
    }

    private function nextSession(Candidate $candidate, Series $series): string
    {
        $calendar = $this->calendars->of($candidate->instrument);
        $close = $calendar->session($series->session[$series->count() - 1])->close ?? $series->start[$series->count() - 1];

        return $calendar->opening($close)->date;
    }

    private function candidate(Candidate $candidate, Plan $plan, Series $series): CandidateData
    {
        $draft = $candidate->setup?->draft();
        $close = $series->lastClose();
        $before = $series->close[$series->count() - 2] ?? null;
        $setup = $draft === null ? null : $this->complete($candidate, $plan, $draft);

        return new CandidateData(
            $candidate->id,
            InstrumentData::of($candidate->instrument),
            $candidate->state,
            $candidate->reason,
            $candidate->readers,
            $close === null ? null : $series->grid->format($close),
            $close === null || $before === null ? null : Distance::from($close, $before, null)->percent,
            $plan->levelsOn($candidate->instrument_id)->alive()->count(),
            $this->setupNote($candidate),
            $this->sentence($setup, $series->grid),
            $draft === null ? null : $this->strip($draft, $close),
        );
    }

    private function setupNote(Candidate $candidate): string
    {
        $draft = $candidate->setup?->draft();

        return match (true) {
            $candidate->state === CandidateState::Passed => 'passed',
            $draft === null => 'no setup yet',
            ! $draft->isComplete() => 'setup begun',
            default => 'planned',
        };
    }

    private function complete(Candidate $candidate, Plan $plan, Draft $draft): ?Setup
    {
        if (! $draft->isComplete()) {
            return null;
        }
        $until = $this->goodUntil->of($plan, $candidate->instrument, $draft->goodFor);
        try {
            // when it will be published is not known yet, and nothing shown depends on it
            return $draft->toSetup($candidate->instrument->grid(), $until - 1, $until);
        } catch (InvalidInput) {
            return null; // the check before publication says what is wrong
        }
    }

    private function sentence(?Setup $setup, PriceGrid $grid): ?string
    {
        return $setup === null ? null : (new Sentence($grid, $this->calendar->zone))->of($setup);
    }

    private function strip(Draft $draft, ?int $close): ?StripData
    {
        $scale = $draft->rScale();
        if ($scale === null) {
            return null;
        }

        return StripData::of(RStrip::planned($draft->side, $scale, $draft->targetPrices(), $close));
    }

    private function setup(Candidate $candidate, Plan $plan, Draft $draft, Series $series, CandidateData $shown): SetupData
    {
        $grid = $series->grid;
        $scale = $draft->rScale();
        $close = $series->lastClose();
        $setup = $this->complete($candidate, $plan, $draft);
        $format = static fn (?int $price): ?string => $price === null ? null : $grid->format($price);
        $missing = [...($draft->entry === null ? ['entry'] : []), ...($draft->stop === null ? ['stop'] : [])];
        $targets = [];
        foreach ($draft->targets as $target) {
            $targets[] = new TargetData($grid->format($target->price), $target->share, $scale?->at($target->price));
        }

        return new SetupData(
            $candidate->setup !== null,
            $draft->side,
            $draft->trigger,
            $format($draft->entry),
            $grid->format($draft->within),
            $draft->noChase,
            $format($draft->stop),
            $format($draft->cancel),
            $targets,
            $draft->goodFor,
            $this->times->shortDay($this->goodUntil->of($plan, $candidate->instrument, $draft->goodFor)),
            $missing,
            $setup !== null && $close !== null && $setup->wouldFillAt($close) ? ['Price is at the entry already: it would be filled at the next open.'] : [],
            $shown->sentence,
            $scale === null ? null : $grid->format($scale->risk()),
            $scale === null ? null : (string) BigRational::nd($scale->risk() * 100, $scale->entry)->toScale(2, RoundingMode::HALF_UP),
            $scale === null ? null : new RScaleData($grid->toFloat($scale->entry), $grid->toFloat($scale->stop)),
            $shown->strip,
        );
    }
}
