<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\SetupKind;
use App\Models\User;

final class SetupKindPolicy
{
    public function update(User $user, SetupKind $kind): bool
    {
        return $user->author()?->id === $kind->author_id;
    }
}
