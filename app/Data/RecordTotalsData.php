<?php

declare(strict_types=1);

namespace App\Data;

/** The record in sums: realised and open apart, and every setup counted once. */
final readonly class RecordTotalsData
{
    /**
     * @param int    $managed         setups that an update has changed
     * @param string $managedRealised in R, those as they were managed and all others as published
     * @param string $managedOpen     likewise
     */
    public function __construct(
        public int $published,
        public int $closed,
        public int $open,
        public int $waiting,
        public int $notTriggered,
        public int $cancelled,
        public int $void,
        public int $ambiguous,
        public string $realised,
        public string $openR,
        public string $costs,
        public int $managed,
        public string $managedRealised,
        public string $managedOpen,
    ) {
    }
}
