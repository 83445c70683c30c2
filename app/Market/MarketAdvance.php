<?php

declare(strict_types=1);

namespace App\Market;

use App\Clock\MarketClock;
use App\Feeds\MarketFeed;
use Illuminate\Database\ConnectionInterface;

/** Moves the market on: the bars up to a moment, then the clock, both or neither. */
final readonly class MarketAdvance
{
    public function __construct(private ConnectionInterface $db, private MarketFeed $feed, private MarketClock $clock)
    {
    }

    public function to(int $moment): void
    {
        $this->db->transaction(function () use ($moment): void {
            $this->feed->deliverUntil($moment);
            $this->clock->moveTo($moment);
        });
    }
}
