<?php

declare(strict_types=1);

namespace App\Data;

/** What a calendar month brought over the years; figures of the same year of the cycle beside it. */
final readonly class SeasonMonthData
{
    public function __construct(
        public string $month,
        public bool $coming,
        public int $years,
        public ?float $mean,
        public ?float $median,
        public ?float $rises,
        public int $cycleYears,
        public ?float $cycleMean,
        public ?float $cycleRises,
    ) {
    }
}
