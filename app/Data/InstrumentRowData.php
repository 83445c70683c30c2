<?php

declare(strict_types=1);

namespace App\Data;

/** An instrument as a line of the Data page. */
final readonly class InstrumentRowData
{
    public function __construct(public string $symbol, public string $name, public string $kind, public string $group, public string $exchange, public int $days, public int $fine, public ?string $from, public ?string $lastBar)
    {
    }
}
