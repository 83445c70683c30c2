<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\User;
use Illuminate\Support\Str;

/** Gives a reader private addresses for their feeds, anew: those before lead nowhere from then on. Or takes them away. */
final class ChangeFeedAddress
{
    public function __invoke(User $user, bool $isOn): void
    {
        $user->update(['feed_token' => $isOn ? Str::lower(Str::random(40)) : null]);
    }
}
