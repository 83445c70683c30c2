<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\LevelLayer;
use Watchpost\Core\Market\TimeFrame;

/** How an author left the chart of an instrument. */
final readonly class ChartViewData
{
    /**
     * @param TimeFrame|null   $larger the chart beside it; null without one
     * @param int              $bars   in view
     * @param int              $back   bars between the last one in view and the last one there is
     * @param list<LevelLayer> $layers those that are shown
     * @param bool             $clean  only the setup and its nearest levels
     * @param bool             $log    whether the price scale is logarithmic
     * @param float|null       $low    ends of the price scale while it is held; null while it follows price
     * @param bool             $strip  whether the strip of all time frames is shown
     * @param bool             $snaps  whether marks snap to highs, lows and closes
     */
    public function __construct(
        public TimeFrame $frame,
        public ?TimeFrame $larger,
        public int $bars,
        public int $back,
        public array $layers,
        public bool $clean,
        public bool $log,
        public ?float $low,
        public ?float $high,
        public bool $strip,
        public bool $snaps,
    ) {
    }
}
