<?php

declare(strict_types=1);

namespace App\Data;

/** Where 0 R and -1 R lie on the price scale, for drawing. */
final readonly class RScaleData
{
    public function __construct(public float $entry, public float $stop)
    {
    }
}
