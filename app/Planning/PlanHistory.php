<?php

declare(strict_types=1);

namespace App\Planning;

use App\Levels\LevelLog;
use App\Models\Plan;
use App\Models\PlanChange;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;

/**
 * Keeps every change of a draft so that it can be undone and made again.
 *
 * @phpstan-import-type Snapshot from PlanSnapshot
 */
final class PlanHistory
{
    public const KEPT_CHANGES = 200;

    /**
     * Make a change and remember it under a label; a change that changes nothing is not remembered.
     *
     * @template T
     *
     * @param callable(): T $change
     *
     * @return T
     *
     * @throws PlanIsPublished
     */
    public static function change(Plan $plan, string $label, ?int $instrumentId, callable $change): mixed
    {
        return DB::transaction(static function () use ($plan, $label, $instrumentId, $change): mixed {
            self::lock($plan);
            app(Seen::class)->check($plan, $instrumentId, $label);
            $extra = $instrumentId === null ? [] : [$instrumentId];
            $before = PlanSnapshot::take($plan, $extra);
            $result = $change();
            $after = PlanSnapshot::take($plan, $extra);
            if ($before !== $after) {
                self::remember($plan, $label, $instrumentId, $before, $after);
            }

            return $result;
        });
    }

    /** Undo the last change in force; null when there is none. */
    public static function undo(Plan $plan): ?PlanChange
    {
        return DB::transaction(static function () use ($plan): ?PlanChange {
            self::lock($plan);
            $change = self::at($plan, $plan->change_position);
            if ($change !== null) {
                self::travel($plan, $change, $change->after, $change->before, 'undone');
                self::moved($plan, $change, $plan->change_position - 1);
            }

            return $change;
        });
    }

    /** Make the last change that was undone again; null when there is none. */
    public static function redo(Plan $plan): ?PlanChange
    {
        return DB::transaction(static function () use ($plan): ?PlanChange {
            self::lock($plan);
            $change = self::at($plan, $plan->change_position + 1);
            if ($change !== null) {
                self::travel($plan, $change, $change->before, $change->after, 'made again');
                self::moved($plan, $change, $plan->change_position + 1);
            }

            return $change;
        });
    }

    /**
     * @param Snapshot $from
     * @param Snapshot $to
     */
    private static function travel(Plan $plan, PlanChange $change, array $from, array $to, string $verb): void
    {
        PlanSnapshot::restore($plan, $from, $to);
        foreach (PlanSnapshot::changedLevels($from, $to) as $levelId) {
            app(LevelLog::class)->write($levelId, "{$verb}: {$change->label}");
        }
    }

    public static function nextUndo(Plan $plan): ?string
    {
        return self::at($plan, $plan->change_position)?->label;
    }

    public static function nextRedo(Plan $plan): ?string
    {
        return self::at($plan, $plan->change_position + 1)?->label;
    }

    /**
     * @param array<string, mixed> $before
     * @param array<string, mixed> $after
     */
    private static function remember(Plan $plan, string $label, ?int $instrumentId, array $before, array $after): void
    {
        $plan->changes()->where('position', '>', $plan->change_position)->delete();
        $position = $plan->change_position + 1;
        $plan->changes()->create(['position' => $position, 'label' => $label, 'instrument_id' => $instrumentId, 'before' => $before, 'after' => $after, 'user_id' => Auth::id(), 'revision' => $plan->revision + 1]);
        $plan->changes()->where('position', '<=', $position - self::KEPT_CHANGES)->delete();
        $plan->update(['change_position' => $position, 'revision' => $plan->revision + 1]);
    }

    /** Undone or made again, a change is one that others have not seen. */
    private static function moved(Plan $plan, PlanChange $change, int $position): void
    {
        $change->update(['user_id' => Auth::id(), 'revision' => $plan->revision + 1]);
        $plan->update(['change_position' => $position, 'revision' => $plan->revision + 1]);
    }

    private static function at(Plan $plan, int $position): ?PlanChange
    {
        return $plan->changes()->where('position', $position)->first();
    }

    private static function lock(Plan $plan): void
    {
        $plan->setRawAttributes((array) Plan::query()->lockForUpdate()->findOrFail($plan->id)->getAttributes(), true);
        if (! $plan->isDraft()) {
            throw new PlanIsPublished();
        }
    }
}
