<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\CandidateOrder;
use App\Models\Plan;
use App\Planning\PlanHistory;

/** Brings the candidates of a plan together by theme, industry or kind of setup; the edition has the same order. */
final class OrderCandidates
{
    /** The groups keep the order in which they first occur, and each its own; what belongs to none comes last. */
    public function __invoke(Plan $plan, CandidateOrder $by): void
    {
        PlanHistory::change($plan, "order by {$by->label()}", null, static function () use ($plan, $by): void {
            $groups = ['' => []];
            foreach ($plan->candidates()->with(['instrument', 'setups.kind'])->get() as $candidate) {
                $groups[$candidate->groupOf($by)][] = $candidate;
            }
            $without = array_shift($groups);
            foreach (array_merge(...array_values($groups), ...[$without]) as $i => $candidate) {
                $candidate->update(['position' => $i + 1]);
            }
        });
    }
}
