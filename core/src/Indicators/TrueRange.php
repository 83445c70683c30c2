<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** True range: the range of a bar, the gap before it included. */
final class TrueRange
{
    /**
     * tr[i] = max(h - l, |h - c[i-1]|, |l - c[i-1]|); null for the first bar, which has no close before it.
     *
     * Unit: that of the prices. Source: New Concepts in Technical Trading Systems (1978); computations.md, Indicators.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return list<float|null>
     */
    public static function of(array $high, array $low, array $close): array
    {
        $out = [];
        $before = null;
        foreach ($close as $i => $now) {
            if ($before === null) {
                $out[] = null;
            } else {
                // the same as the three-way maximum: the range, stretched to the close before
                $top = $high[$i] > $before ? $high[$i] : $before;
                $bottom = $low[$i] < $before ? $low[$i] : $before;
                $out[] = $top - $bottom;
            }
            $before = $now;
        }

        return $out;
    }
}
