<?php

declare(strict_types=1);

namespace App\Market;

use App\Clock\MarketClock;
use App\Levels\LevelLog;
use App\Models\Candidate;
use App\Models\Instrument;
use App\Models\Level;
use App\Models\Plan;
use App\Models\PlanChange;
use App\Models\Setup;
use App\Models\Split;

/**
 * Brings levels and drafts to the scale of a split when its session opens. What is published stays as it is; the engine
 * knows the split itself. The changes of a draft on the old scale can no longer be undone.
 */
final readonly class SplitKeeper
{
    public function __construct(private Splits $splits, private MarketClock $clock, private LevelLog $log)
    {
    }

    public function apply(): void
    {
        foreach (Split::query()->with('instrument')->whereNull('applied_at')->orderBy('session')->get() as $split) {
            if ($this->splits->isInForce($split, $split->instrument)) {
                $this->bring($split->instrument, $split->core()->ratio->toFloat());
                $split->update(['applied_at' => $this->clock->moment()]);
            }
        }
    }

    private function bring(Instrument $instrument, float $ratio): void
    {
        $grid = $instrument->grid();
        foreach (Level::query()->where('instrument_id', $instrument->id)->get() as $level) {
            $level->update($level->pricesBy(static fn (int $units): int => $grid->afterSplit($units, $ratio)));
            $this->log->write($level->id, "brought to the scale of a split: {$level->origin}", LevelLog::ITSELF);
        }
        $drafts = Plan::query()->whereNull('published_at')->pluck('id');
        $candidates = Candidate::query()->where('instrument_id', $instrument->id)->whereIn('plan_id', $drafts);
        foreach (Setup::query()->whereIn('candidate_id', (clone $candidates)->select('id'))->get() as $setup) {
            $setup->update($setup->draft()->afterSplit($grid, $ratio)->toState());
        }
        $touched = $candidates->pluck('plan_id');
        PlanChange::query()->whereIn('plan_id', $touched)->delete();
        Plan::query()->whereIn('id', $touched)->update(['change_position' => 0]);
    }
}
