<?php

declare(strict_types=1);

namespace App\Data;

/** How the levels of one kind did. */
final readonly class LevelTallyData
{
    /**
     * @param float|null $rate share of the decided ones that held; null with too few
     * @param float|null $turn mean distance from the level at which they turned, in ATR
     */
    public function __construct(
        public string $name,
        public int $all,
        public int $untouched,
        public int $undecided,
        public int $held,
        public int $broke,
        public ?float $rate,
        public ?float $low,
        public ?float $high,
        public ?float $turn,
    ) {
    }
}
