<?php

declare(strict_types=1);

namespace App\Planning;

use App\Data\CandidateData;
use App\Data\CandidateLinkData;
use App\Data\InstrumentData;
use App\Data\VariantData;
use App\Enums\CandidateOrder;
use App\Enums\CandidateState;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use App\Models\Plan;
use App\Models\Setup;
use Watchpost\Core\Levels\Distance;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Outcomes\OutcomeStatus;

/** Shows the candidates of a plan: where each came from, what is said of it, and where price stands. */
final readonly class CandidatePresenter
{
    private const SHORT_SERIES = 30;
    /** ATR within which price is near. */
    private const NEAR = 0.5;

    public function __construct(private ChartBuilder $charts, private SetupPresenter $setups)
    {
    }

    /** @return list<CandidateData> */
    public function board(Plan $plan): array
    {
        return array_values($plan->candidates()->with(['instrument', 'setups.kind', 'carried.outcome'])->get()
            ->map(fn (Candidate $candidate): CandidateData => $this->one($candidate, $plan, $this->charts->series($candidate->instrument, self::SHORT_SERIES)))
            ->all());
    }

    /** @return list<CandidateLinkData> */
    public function links(Plan $plan): array
    {
        return array_values($plan->candidates()->with(['instrument', 'setups'])->get()
            ->map(fn (Candidate $candidate): CandidateLinkData => new CandidateLinkData($candidate->id, $candidate->instrument->symbol, $candidate->state, $this->setupNote($candidate)))
            ->all());
    }

    public function one(Candidate $candidate, Plan $plan, Series $series): CandidateData
    {
        $candidate->loadMissing(['setups.kind', 'carried.outcome']);
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
            $candidate->source_note,
            $candidate->source->label().($candidate->source_note === '' ? '' : ", {$candidate->source_note}"),
            $candidate->theme,
            $candidate->groupOf(CandidateOrder::Kind),
            $candidate->leansTo(),
            $close === null ? '' : $this->standing($candidate, $prices, $series, $close),
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
    private function standing(Candidate $candidate, array $levels, Series $series, int $close): string
    {
        if ($candidate->state === CandidateState::Passed) {
            return 'not interested';
        }
        if ($candidate->stillStands()) {
            return $candidate->carried?->outcome?->status === OutcomeStatus::Open ? 'triggered, '.lcfirst($candidate->relation?->words() ?? '') : $candidate->relation?->words() ?? '';
        }
        $entries = array_values(array_filter($candidate->setups->map(static fn (Setup $setup): ?int => $setup->draft()->entryPrice())->all(), static fn (?int $price): bool => $price !== null));
        $atr = $this->charts->atr($series);
        $near = static fn (array $prices): ?float => $prices === [] || $atr === null || $atr <= 0.0 ? null : min(array_map(static fn (int $price): float => abs($price - $close) / $atr, $prices));
        $entry = $near($entries);
        $level = $near($levels);
        [$high, $low] = [$series->high[$series->count() - 1], $series->low[$series->count() - 1]];
        $isTraded = array_filter($entries, static fn (int $price): bool => $price >= $low && $price <= $high) !== [];

        return match (true) {
            $entry !== null => ($entry <= self::NEAR ? 'near' : 'not yet').', entry '.number_format($entry, 1).' ATR away'.($isTraded ? ', traded in the last session' : ''),
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
