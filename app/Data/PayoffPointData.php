<?php

declare(strict_types=1);

namespace App\Data;

/** A price, and what a position gains there at expiry, in currency; named where it is a price of the setup or a break-even. */
final readonly class PayoffPointData
{
    /** @param string $kind corner, stop, entry, target or break_even */
    public function __construct(public string $kind, public string $label, public string $price, public float $value, public float $gain, public string $told)
    {
    }
}
