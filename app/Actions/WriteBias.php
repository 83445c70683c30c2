<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Plan;
use App\Planning\PlanHistory;
use App\Planning\StaleChange;

/** Writes the one line that governs the session. */
final class WriteBias
{
    /**
     * Refused when someone else has changed it meanwhile.
     *
     * @param string|null $was the words that were seen before they were changed; null leaves them out of it
     */
    public function __invoke(Plan $plan, string $bias, ?string $was = null): void
    {
        PlanHistory::change($plan, 'bias', null, static function () use ($plan, $bias, $was): void {
            if ($was !== null && $plan->bias !== $was && $plan->bias !== trim($bias)) {
                throw StaleChange::refuseText($plan->bias);
            }
            $plan->update(['bias' => trim($bias)]);
        });
    }
}
