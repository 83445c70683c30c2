<?php

declare(strict_types=1);

namespace App\Clock;

/**
 * The time of the market that is watched. No rule and no reading of bars knows another: nothing later than it exists.
 */
interface MarketClock
{
    /** The present moment in Unix seconds. */
    public function moment(): int;

    /** @throws \LogicException when the moment lies before the present one */
    public function moveTo(int $moment): void;
}
