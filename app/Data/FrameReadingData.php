<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Indicators\Stack;
use Watchpost\Core\Market\TimeFrame;

/** What an instrument shows on one time frame. */
final readonly class FrameReadingData
{
    /**
     * @param float|null $slope       of the slowest average, in average true ranges per bar
     * @param int|null   $streak      bars in a row, negative for falling ones
     * @param int|null   $compressed  bars the compression has lasted, 0 for none
     * @param string     $shape       of the last bar, in words; empty for nothing special
     * @param string     $divergence  the last one within 20 bars, in words; empty for none
     */
    public function __construct(
        public TimeFrame $timeFrame,
        public ?Stack $order,
        public ?float $slope,
        public ?float $rsi,
        public ?float $zScore,
        public ?float $relativeVolume,
        public ?int $streak,
        public ?int $compressed,
        public ?int $released,
        public string $shape,
        public string $divergence,
    ) {
    }
}
