<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Plan;
use App\Planning\PlanHistory;

/** Writes the one line that governs the session. */
final class WriteBias
{
    public function __invoke(Plan $plan, string $bias): void
    {
        PlanHistory::change($plan, 'bias', null, static fn () => $plan->update(['bias' => trim($bias)]));
    }
}
