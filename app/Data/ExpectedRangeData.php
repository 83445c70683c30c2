<?php

declare(strict_types=1);

namespace App\Data;

/** The edges of the next session, and how often such edges held. */
final readonly class ExpectedRangeData
{
    public function __construct(public string $low, public string $high, public ?float $held, public ?float $heldLow, public ?float $heldHigh, public int $sessions)
    {
    }
}
