<?php

declare(strict_types=1);

namespace Watchpost\Core\Studies;

use Watchpost\Core\Market\TimeFrame;

/** Simple or exponential moving average. */
enum AverageType: string
{
    case Simple = 'sma';
    case Exponential = 'ema';

    public function study(TimeFrame $timeFrame, int $period): Study
    {
        return $this === self::Simple ? new SimpleAverage($timeFrame, $period) : new ExponentialAverage($timeFrame, $period);
    }

    /** "20-session average", "20-week exponential average" */
    public function words(int $period, string $of = 'session'): string
    {
        return "{$period}-{$of} ".($this === self::Simple ? 'average' : 'exponential average');
    }
}
