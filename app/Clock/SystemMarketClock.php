<?php

declare(strict_types=1);

namespace App\Clock;

/** The time of this machine, for a market that is real: it moves by itself. */
final readonly class SystemMarketClock implements MarketClock
{
    public function moment(): int
    {
        return time();
    }

    public function moveTo(int $moment): void
    {
        if ($moment > $this->moment()) {
            throw new \LogicException('The clock of a real market cannot be moved ahead.');
        }
    }
}
