<?php

declare(strict_types=1);

namespace App\Planning;

use App\Clock\TimeLabel;
use App\Data\CandidateData;
use App\Data\CandidateLinkData;
use App\Data\InstrumentData;
use App\Data\LadderRowData;
use App\Data\PlanData;
use App\Data\RScaleData;
use App\Data\SetupData;
use App\Data\StripData;
use App\Data\TargetData;
use App\Data\WorkbenchData;
use App\Enums\CandidateState;
use App\Enums\LadderRowKind;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use App\Models\Level;
use App\Models\Plan;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Levels\Distance;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\RStrip;
use Watchpost\Core\Setups\Sentence;
use Watchpost\Core\Setups\Setup;

/** Shows a plan, its candidates and the workbench of one of them. */
final readonly class WorkbenchPresenter
{
    private const SHORT_SERIES = 30;

    public function __construct(private ChartBuilder $charts, private ExchangeCalendar $calendar, private TimeLabel $times)
    {
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

    public function workbench(Candidate $candidate, Series $series): WorkbenchData
    {
        $candidate->load(['instrument', 'setup']);
        $plan = $candidate->plan;
        $atr = $this->charts->atr($series);
        $draft = DraftSetups::of($candidate);
        $shown = $this->candidate($candidate, $plan, $series);

        return new WorkbenchData(
            $shown,
            $this->ladder($candidate, $plan, $draft, $series, $atr),
            $this->setup($candidate, $plan, $draft, $series, $shown),
            $atr === null ? null : $series->grid->format((int) round($atr)),
            PlanHistory::nextUndo($plan),
            PlanHistory::nextRedo($plan),
        );
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
            $plan->levelsOn($candidate->instrument_id)->count(),
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
        $until = $this->goodUntil($plan, $draft);
        try {
            // when it will be published is not known yet, and nothing shown depends on it
            return $draft->toSetup($candidate->instrument->grid(), $until - 1, $until);
        } catch (InvalidInput) {
            return null; // the check before publication says what is wrong
        }
    }

    private function goodUntil(Plan $plan, Draft $draft): int
    {
        return $this->calendar->countedFrom($plan->session_date, $draft->goodFor)->close;
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
            $this->times->shortDay($this->goodUntil($plan, $draft)),
            $missing,
            $setup !== null && $close !== null && $setup->wouldFillAt($close) ? ['Price is at the entry already: it would be filled at the next open.'] : [],
            $shown->sentence,
            $scale === null ? null : $grid->format($scale->risk()),
            $scale === null ? null : (string) BigRational::nd($scale->risk() * 100, $scale->entry)->toScale(2, RoundingMode::HALF_UP),
            $scale === null ? null : new RScaleData($grid->toFloat($scale->entry), $grid->toFloat($scale->stop)),
            $shown->strip,
        );
    }

    /** @return list<LadderRowData> */
    private function ladder(Candidate $candidate, Plan $plan, Draft $draft, Series $series, ?float $atr): array
    {
        $close = $series->lastClose();
        if ($close === null) {
            return [];
        }
        $scale = $draft->rScale();
        $row = static fn (string $key, LadderRowKind $kind, string $label, int $price, ?Level $level = null, ?int $target = null, ?int $rOf = null): array => [
            $price,
            self::row($key, $kind, $label, $price, $series->grid, Distance::from($price, $close, $atr), $scale?->at($rOf ?? $price), $level, $target),
        ];
        $rows = [$row('last', LadderRowKind::Last, 'last close', $close)];
        foreach ($plan->levelsOn($candidate->instrument_id)->get() as $level) {
            $rows[] = $row("level-{$level->id}", LadderRowKind::Level, $level->origin, $level->price, $level);
        }
        if ($draft->entry !== null) {
            // its R is 0 by definition, counted from the price with its tolerance
            $rows[] = $row('entry', LadderRowKind::Entry, "{$draft->side->value} entry, {$draft->trigger->value}", $draft->entry, rOf: $draft->plannedEntry());
        }
        if ($draft->stop !== null) {
            $rows[] = $row('stop', LadderRowKind::Stop, 'stop', $draft->stop);
        }
        if ($draft->cancel !== null) {
            $rows[] = $row('cancel', LadderRowKind::Cancel, 'cancel the wait', $draft->cancel);
        }
        foreach ($draft->targets as $i => $target) {
            $rows[] = $row("target-{$i}", LadderRowKind::Target, 'target '.($i + 1), $target->price, null, $i);
        }
        usort($rows, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return array_column($rows, 1);
    }

    private static function row(string $key, LadderRowKind $kind, string $label, int $price, PriceGrid $grid, Distance $distance, ?string $r, ?Level $level, ?int $target): LadderRowData
    {
        return new LadderRowData(
            $key,
            $kind,
            $label,
            $grid->format($price),
            $grid->toFloat($price),
            $distance->percent,
            $distance->atr,
            $r,
            $level?->id,
            $level?->grade,
            $target,
        );
    }
}
