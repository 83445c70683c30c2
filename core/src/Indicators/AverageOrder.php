<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** The order in which the close and a list of averages stand, and how steep each average is. */
final class AverageOrder
{
    /**
     * Up: the close is above the first average, that above the second, and so on; down: the mirror; else mixed. Equal
     * values are in no order. Null where an average is undefined, or without averages.
     *
     * Source: computations.md, Indicators (moving-average order).
     *
     * @param list<float>            $close
     * @param list<list<float|null>> $averages from the fastest to the slowest, each as long as $close
     *
     * @return list<Stack|null>
     */
    public static function of(array $close, array $averages): array
    {
        $out = [];
        foreach ($close as $i => $price) {
            $out[] = self::at($price, array_map(static fn (array $average): ?float => $average[$i], $averages));
        }

        return $out;
    }

    /**
     * slope[i] = (average[i] - average[i-1]) / atr[i]; null where undefined or while nothing moves.
     *
     * Unit: average true ranges per bar. Source: computations.md, Indicators.
     *
     * @param list<float|null> $average
     * @param list<float|null> $atr     as long as $average
     *
     * @return list<float|null>
     */
    public static function slope(array $average, array $atr): array
    {
        $out = [];
        $before = null;
        foreach ($average as $i => $now) {
            $range = $atr[$i];
            $out[] = $now === null || $before === null || $range === null || $range <= 0.0 ? null : ($now - $before) / $range;
            $before = $now;
        }

        return $out;
    }

    /** @param list<float|null> $averages */
    private static function at(float $price, array $averages): ?Stack
    {
        $rises = $falls = $averages !== [];
        $above = $price;
        foreach ($averages as $average) {
            if ($average === null) {
                return null;
            }
            $rises = $rises && $above > $average;
            $falls = $falls && $above < $average;
            $above = $average;
        }

        return $averages === [] ? null : ($rises ? Stack::Up : ($falls ? Stack::Down : Stack::Mixed));
    }
}
