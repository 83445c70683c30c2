<?php

declare(strict_types=1);

namespace App\Market;

use App\Clock\MarketClock;
use App\Feeds\MarketFeed;
use App\Levels\Retirements;
use Illuminate\Database\ConnectionInterface;

/**
 * Moves the market on: the bars up to a moment, the clock, the splits that take effect by it, and the
 * levels that no longer matter, all or nothing.
 */
final readonly class MarketAdvance
{
    public function __construct(private ConnectionInterface $db, private MarketFeed $feed, private MarketClock $clock, private SplitKeeper $splits, private Retirements $retirements)
    {
    }

    public function to(int $moment): void
    {
        $this->db->transaction(function () use ($moment): void {
            $this->feed->deliverUntil($moment);
            $this->clock->moveTo($moment);
            $this->splits->apply();
            $this->retirements->apply();
        });
    }
}
