<?php

declare(strict_types=1);

namespace App\Data;

/** The step Market. */
final readonly class MarketData
{
    /**
     * @param list<GaugeData>          $gauges
     * @param list<int>                $horizons of the groups' returns, in sessions
     * @param list<GroupData>          $groups
     * @param list<SeasonData>         $seasons
     * @param list<MarketEventData>    $events
     * @param list<AverageSettingData> $order    the averages by which the order is told
     * @param string                   $until    day of the last session whose events are shown
     */
    public function __construct(
        public array $gauges,
        public array $horizons,
        public array $groups,
        public ?BreadthData $breadth,
        public array $seasons,
        public array $events,
        public int $otherEarnings,
        public array $order,
        public string $until,
    ) {
    }
}
