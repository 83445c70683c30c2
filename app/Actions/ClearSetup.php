<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Candidate;
use App\Planning\PlanHistory;

/** Takes the setup off a candidate; its levels stay. */
final class ClearSetup
{
    public function __invoke(Candidate $candidate): void
    {
        PlanHistory::change($candidate->plan, "clear the setup of {$candidate->instrument->symbol}", $candidate->instrument_id, static fn () => $candidate->setup()->delete());
        $candidate->unsetRelation('setup');
    }
}
