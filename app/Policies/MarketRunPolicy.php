<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\MarketRun;
use App\Models\User;

final class MarketRunPolicy
{
    public function update(User $user, MarketRun $run): bool
    {
        return $user->id === $run->user_id;
    }
}
