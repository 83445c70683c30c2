<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Average true range. */
final class Atr
{
    /**
     * tr[i] = max(h - l, |h - c[i-1]|, |l - c[i-1]|), defined from the second bar on;
     * atr(n) = Wilder's average of it, (atr[i-1] x (n-1) + tr[i]) / n, seeded at i = n with the mean of the first n
     * true ranges; null before.
     *
     * Unit: that of the prices. Source: New Concepts in Technical Trading Systems (1978); computations.md, Indicators.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $high, array $low, array $close, int $period): array
    {
        if ($period < 1) {
            throw new \InvalidArgumentException('the period must be at least 1');
        }
        $out = [];
        $sum = 0.0;
        $atr = null;
        foreach ($close as $i => $_) {
            if ($i === 0) {
                $out[] = null;
                continue;
            }
            $range = max($high[$i] - $low[$i], abs($high[$i] - $close[$i - 1]), abs($low[$i] - $close[$i - 1]));
            if ($atr !== null) {
                $atr = ($atr * ($period - 1) + $range) / $period;
            } else {
                $sum += $range;
                if ($i === $period) {
                    $atr = $sum / $period;
                }
            }
            $out[] = $atr;
        }

        return $out;
    }
}
