<?php

declare(strict_types=1);

namespace App\Data;

/** How many shares take part, as of the last finished session. */
final readonly class BreadthData
{
    /**
     * @param list<float> $sums    running sum of the oscillator, the last sessions
     * @param list<float> $aboves  share above the SMA 50, the last sessions
     */
    public function __construct(
        public string $session,
        public int $shares,
        public int $advancers,
        public int $decliners,
        public int $newHighs,
        public int $newLows,
        public ?float $above50,
        public ?float $above200,
        public ?float $oscillator,
        public ?float $sum,
        public array $sums,
        public array $aboves,
    ) {
    }
}
