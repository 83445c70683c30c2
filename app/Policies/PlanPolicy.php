<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Plan;
use App\Models\User;

final class PlanPolicy
{
    public function write(User $user, Plan $plan): bool
    {
        return $user->author()?->id === $plan->author_id;
    }
}
