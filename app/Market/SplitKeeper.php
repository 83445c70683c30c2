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
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\DraftTarget;

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
            $level->update($level->pricesBy(static fn (int $units): int => self::price($grid, $units, $ratio)));
            $this->log->write($level->id, "brought to the scale of a split: {$level->origin}", LevelLog::ITSELF);
        }
        $drafts = Plan::query()->whereNull('published_at')->pluck('id');
        $candidates = Candidate::query()->where('instrument_id', $instrument->id)->whereIn('plan_id', $drafts);
        foreach (Setup::query()->whereIn('candidate_id', (clone $candidates)->select('id'))->get() as $setup) {
            $scaled = static fn (?int $price): ?int => $price === null ? null : self::price($grid, $price, $ratio);
            $distance = static fn (int $units): int => (int) round($units / $ratio / $grid->tick) * $grid->tick;
            $draft = $setup->draft();
            $setup->update(Setup::columns($draft->replace([
                'legs' => array_map(static fn (DraftLeg $leg): DraftLeg => $leg->replace([
                    'price' => $scaled($leg->price),
                    'within' => $distance($leg->within),
                    'beyond' => $distance($leg->beyond),
                    'worst' => $scaled($leg->worst),
                ]), $draft->legs),
                'stop' => $scaled($draft->stop),
                'cancel' => $scaled($draft->cancel),
                'targets' => array_map(static fn (DraftTarget $target): DraftTarget => new DraftTarget(self::price($grid, $target->price, $ratio), $target->share), $draft->targets),
                'stopMoves' => array_map(static function (array $move) use ($grid, $scaled): array {
                    $units = is_string($move['to']['price'] ?? null) ? $grid->units($move['to']['price']) : null;

                    return $units === null ? $move : ['to' => ['price' => $grid->format((int) $scaled($units))] + $move['to']] + $move;
                }, $draft->stopMoves),
            ])));
        }
        $touched = $candidates->pluck('plan_id');
        PlanChange::query()->whereIn('plan_id', $touched)->delete();
        Plan::query()->whereIn('id', $touched)->update(['change_position' => 0]);
    }

    private static function price(PriceGrid $grid, int $units, float $ratio): int
    {
        return max($grid->tick, $grid->nearestTick($units / $ratio));
    }
}
