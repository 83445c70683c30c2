<?php

declare(strict_types=1);

namespace App\Data;

/** The record in sums: realised and open apart, and every setup counted once. */
final readonly class RecordTotalsData
{
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
    ) {
    }
}
