<?php

declare(strict_types=1);

namespace App\Data;

/** A bar told again with other figures. */
final readonly class CorrectionData
{
    public function __construct(public string $when, public string $timeFrame, public string $was, public string $is, public bool $heldBack)
    {
    }
}
