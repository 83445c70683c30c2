<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Indicators\Stack;

/** A gauge of the market, as it stands. */
final readonly class GaugeData
{
    /**
     * @param string|null  $change      against the close before, in percent
     * @param float|null   $place       in the range of its last 252 sessions, 0 to 100
     * @param Stack|null   $order       of the close and the author's averages
     * @param float|null   $slope       of the slowest average, in average true ranges per session
     * @param string|null  $crossing    the last one among close and averages, in words
     * @param float|null   $correlation with the leading index over 63 sessions
     * @param list<float>  $spark       closes of the last 60 sessions
     */
    public function __construct(
        public string $symbol,
        public string $name,
        public string $kind,
        public string $unit,
        public ?string $last,
        public ?string $change,
        public ?float $place,
        public ?Stack $order,
        public ?float $slope,
        public ?string $crossing,
        public ?NearLevelData $above,
        public ?NearLevelData $below,
        public ?float $correlation,
        public array $spark,
    ) {
    }
}
