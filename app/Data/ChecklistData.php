<?php

declare(strict_types=1);

namespace App\Data;

final readonly class ChecklistData
{
    /** @param list<ChecklistLineData> $lines */
    public function __construct(public int $met, public int $of, public array $lines)
    {
    }
}
