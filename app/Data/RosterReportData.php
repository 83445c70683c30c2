<?php

declare(strict_types=1);

namespace App\Data;

/** What came of a roster that was brought in. */
final readonly class RosterReportData
{
    /** @param list<LineFaultData> $faults lines that were left out */
    public function __construct(
        public int $invited,
        public int $changed,
        public int $same,
        public array $faults,
    ) {
    }
}
