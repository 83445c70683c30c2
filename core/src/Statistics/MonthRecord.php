<?php

declare(strict_types=1);

namespace Watchpost\Core\Statistics;

/** What a calendar month brought over the years: returns in percent, rises as a share of the years. */
final readonly class MonthRecord
{
    /** @param int $month 1 to 12 */
    public function __construct(public int $month, public int $years, public ?float $mean, public ?float $median, public ?float $rises)
    {
    }
}
