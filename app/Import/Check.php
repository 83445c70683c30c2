<?php

declare(strict_types=1);

namespace App\Import;

/** What a check of all lines found. */
final readonly class Check
{
    /** @param list<array{line: int, field: string, reason: string, text: string}> $faults the first ones */
    public function __construct(public int $lines, public int $faultCount, public array $faults, public bool $stopped)
    {
    }
}
