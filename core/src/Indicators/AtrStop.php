<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** A trailing stop at a distance of average true ranges. */
final class AtrStop
{
    /**
     * In an up run: the greatest of close - k x atr(n) since the run began; in a down run the least of close + k x atr(n).
     * The run turns on the bar whose close crosses the stop of the bar before, and begins as an up run. Null while the
     * average true range is undefined.
     *
     * Unit: that of the prices; direction 1 in an up run, -1 in a down run. Source: computations.md, Indicators.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return array{stop: list<float|null>, direction: list<float|null>}
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $high, array $low, array $close, int $period, float $multiple): array
    {
        $atr = Atr::of($high, $low, $close, $period);
        $stop = null;
        $direction = 1.0;
        $stops = $directions = [];
        foreach ($close as $i => $now) {
            $range = $atr[$i];
            if ($range === null) {
                $stops[] = $directions[] = null;
                continue;
            }
            if ($stop !== null && ($now - $stop) * $direction < 0.0) {
                $direction = -$direction;
                $stop = null;
            }
            $level = $now - $direction * $multiple * $range;
            $stop = $stop === null ? $level : ($direction > 0.0 ? max($stop, $level) : min($stop, $level));
            $stops[] = $stop;
            $directions[] = $direction;
        }

        return ['stop' => $stops, 'direction' => $directions];
    }
}
