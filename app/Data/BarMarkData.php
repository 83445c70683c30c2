<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\BarMarkKind;

/** Something to be marked at a bar of the chart. */
final readonly class BarMarkData
{
    /** @param int $index of the bar */
    public function __construct(public int $index, public BarMarkKind $kind, public string $label)
    {
    }
}
