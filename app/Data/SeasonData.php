<?php

declare(strict_types=1);

namespace App\Data;

final readonly class SeasonData
{
    /** @param list<SeasonMonthData> $months */
    public function __construct(public string $symbol, public string $cycle, public array $months)
    {
    }
}
