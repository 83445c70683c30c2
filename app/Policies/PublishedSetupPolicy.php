<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\PublishedSetup;
use App\Models\User;

final class PublishedSetupPolicy
{
    /** Looked back on by those who work on its author's plans. */
    public function review(User $user, PublishedSetup $published): bool
    {
        return $user->author()?->id === $published->edition->author_id;
    }
}
