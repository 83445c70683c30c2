<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Market\TimeFrame;

/** Bars in columns, for drawing only. */
final readonly class ChartData
{
    /**
     * @param list<string>          $sessions dates; of a bar longer than a session, its first one
     * @param list<string>          $times    when each bar starts, in the exchange's time; empty for days and longer
     * @param list<float>           $open
     * @param list<float>           $high
     * @param list<float>           $low
     * @param list<float>           $close
     * @param list<int>             $volume
     * @param list<int>             $extended indexes of bars outside the regular session
     * @param list<AverageLineData> $averages
     * @param list<PaneData>        $panes
     * @param list<BarMarkData>     $marks
     * @param int|null              $publishedAfter index of the last bar known when the edition was published
     */
    public function __construct(
        public TimeFrame $timeFrame,
        public int $decimals,
        public array $sessions,
        public array $times,
        public array $open,
        public array $high,
        public array $low,
        public array $close,
        public array $volume,
        public array $extended,
        public array $averages,
        public array $panes,
        public array $marks,
        public bool $unfinished,
        public ?int $publishedAfter,
    ) {
    }
}
