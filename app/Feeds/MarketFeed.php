<?php

declare(strict_types=1);

namespace App\Feeds;

/** Where bars come from. */
interface MarketFeed
{
    public function name(): string;

    /** Bring in all bars that end up to a moment and are not there yet. Asking again changes nothing. */
    public function deliverUntil(int $moment): void;
}
