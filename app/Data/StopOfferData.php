<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\StopPlace;

/** A place for the stop that the chart offers. */
final readonly class StopOfferData
{
    public function __construct(public StopPlace $place, public string $price, public string $why, public string $distance)
    {
    }
}
