<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Follow;
use App\Models\PublishedSetup;
use App\Models\User;

/** Puts a published setup on a reader's own list, or takes it off. */
final class FollowSetup
{
    public function __invoke(User $user, PublishedSetup $published, bool $isOn): void
    {
        $follow = ['user_id' => $user->id, 'published_setup_id' => $published->id];
        $isOn ? Follow::query()->firstOrCreate($follow) : Follow::query()->where($follow)->delete();
    }
}
