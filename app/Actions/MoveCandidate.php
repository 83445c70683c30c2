<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Candidate;
use App\Planning\PlanHistory;

/** Gives a candidate another place in the order of the plan. */
final class MoveCandidate
{
    /** @param int $place from 0 */
    public function __invoke(Candidate $candidate, int $place): void
    {
        PlanHistory::change($candidate->plan, "move {$candidate->instrument->symbol}", $candidate->instrument_id, static function () use ($candidate, $place): void {
            $others = $candidate->plan->candidates()->whereKeyNot($candidate->id)->get()->all();
            array_splice($others, max(0, min($place, count($others))), 0, [$candidate]);
            foreach ($others as $i => $one) {
                $one->update(['position' => $i + 1]);
            }
        });
    }
}
