<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Plan;
use Illuminate\Validation\ValidationException;

/** Throws a draft away with its candidates and setups; levels live on. */
final class DiscardPlan
{
    public function __invoke(Plan $plan): void
    {
        if (! $plan->isDraft()) {
            throw ValidationException::withMessages(['plan' => 'A plan that is published stays.']);
        }
        $plan->delete();
    }
}
