<?php

declare(strict_types=1);

namespace App\Data;

/** A place for the stop that the chart offers. */
final readonly class StopOfferData
{
    public function __construct(public string $price, public string $why, public string $distance)
    {
    }
}
