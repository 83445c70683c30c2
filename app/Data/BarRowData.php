<?php

declare(strict_types=1);

namespace App\Data;

/** A bar as a line of a table. */
final readonly class BarRowData
{
    public function __construct(public string $when, public string $open, public string $high, public string $low, public string $close, public ?string $change, public int $volume, public bool $unfinished)
    {
    }
}
