<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Level;
use App\Models\User;

final class LevelPolicy
{
    public function update(User $user, Level $level): bool
    {
        return $user->author()?->id === $level->author_id;
    }
}
