<?php

declare(strict_types=1);

namespace App\Data;

use App\Models\User;

/** The private addresses of a reader's feeds. */
final readonly class FeedsData
{
    public function __construct(public string $editions, public string $dates)
    {
    }

    public static function of(User $user): ?self
    {
        return $user->feed_token === null ? null : new self(url("/feeds/{$user->feed_token}/editions.atom"), url("/feeds/{$user->feed_token}/dates.ics"));
    }
}
