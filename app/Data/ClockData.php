<?php

declare(strict_types=1);

namespace App\Data;

/** The market's present, in the exchange's time with UTC beside it. */
final readonly class ClockData
{
    public function __construct(public string $date, public string $time, public string $utc, public string $session, public ?MarketRunData $run)
    {
    }
}
