<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Runs of higher or lower closes, and the shape of single bars. */
final class Streaks
{
    private const NARROWEST_OF = 7;

    /**
     * How many closes in a row, up to and with this one, were each above the close before (positive) or below it
     * (negative); 0 on an equal close, which ends a run. Null for the first bar.
     *
     * Unit: bars. Source: computations.md, Indicators (streaks); edge-cases.md, T56.
     *
     * @param list<float> $close
     *
     * @return list<int|null>
     */
    public static function of(array $close): array
    {
        $out = [];
        $run = 0;
        $before = null;
        foreach ($close as $now) {
            $way = $before === null ? 0 : $now <=> $before;
            $run = $way === 0 ? 0 : ($way === ($run <=> 0) ? $run + $way : $way);
            $out[] = $before === null ? null : $run;
            $before = $now;
        }

        return $out;
    }

    /**
     * inside: within the range of the bar before, edges included; outside: beyond it on both sides; narrowest: the
     * range is the smallest of the last seven, alone. Null while there are too few bars. place: (close - low) /
     * (high - low), 1 on a bar without range.
     *
     * Unit: place 0 to 1. Source: computations.md, Indicators (streaks).
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return array{inside: list<bool|null>, outside: list<bool|null>, narrowest: list<bool|null>, place: list<float>}
     */
    public static function shapes(array $high, array $low, array $close): array
    {
        $out = ['inside' => [], 'outside' => [], 'narrowest' => [], 'place' => []];
        foreach ($close as $i => $now) {
            $range = $high[$i] - $low[$i];
            $out['inside'][] = $i === 0 ? null : $high[$i] <= $high[$i - 1] && $low[$i] >= $low[$i - 1];
            $out['outside'][] = $i === 0 ? null : $high[$i] > $high[$i - 1] && $low[$i] < $low[$i - 1];
            $out['narrowest'][] = $i < self::NARROWEST_OF - 1 ? null : self::isNarrowest($high, $low, $i);
            $out['place'][] = $range > 0.0 ? ($now - $low[$i]) / $range : 1.0;
        }

        return $out;
    }

    /**
     * @param list<float> $high
     * @param list<float> $low
     */
    private static function isNarrowest(array $high, array $low, int $last): bool
    {
        for ($i = $last - self::NARROWEST_OF + 1; $i < $last; ++$i) {
            if ($high[$i] - $low[$i] <= $high[$last] - $low[$last]) {
                return false;
            }
        }

        return true;
    }
}
