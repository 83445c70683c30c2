<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Candidate;
use App\Planning\PlanHistory;

/** Takes a candidate with its setup off the list. The levels stay with the instrument. */
final class RemoveCandidate
{
    public function __invoke(Candidate $candidate): void
    {
        PlanHistory::change($candidate->plan, "remove {$candidate->instrument->symbol}", $candidate->instrument_id, static function () use ($candidate): void {
            $candidate->delete();
            $candidate->plan->candidates()->where('position', '>', $candidate->position)->decrement('position');
        });
    }
}
