<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Candidate;
use App\Models\Level;
use App\Planning\PlanHistory;

final class DeleteLevel
{
    public function __invoke(Candidate $candidate, Level $level): void
    {
        $label = "delete level {$candidate->instrument->grid()->format($level->price)} on {$candidate->instrument->symbol}";
        PlanHistory::change($candidate->plan, $label, $level->instrument_id, static fn () => $level->delete());
    }
}
