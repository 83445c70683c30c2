<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Average price weighted by volume, with bands. */
final class Vwap
{
    /**
     * With t = (h + l + c) / 3 and v the volume, since the session's open (or one anchor bar for all):
     * vwap = sum of t x v / sum of v; upper, lower = vwap +- k x sqrt(sum of v x (t - vwap)^2 / sum of v).
     * Null before the anchor and while no volume has traded.
     *
     * The spread is carried along by West's update, so that it does not lose figures on large prices.
     *
     * Unit: that of the prices. Source: computations.md, Indicators.
     *
     * @param list<float>  $high
     * @param list<float>  $low
     * @param list<float>  $close
     * @param list<float>  $volume
     * @param list<string> $session date of each bar
     * @param int|null     $anchor  index of the bar to count from; null: from each session's first bar
     *
     * @return array{vwap: list<float|null>, upper: list<float|null>, lower: list<float|null>}
     */
    public static function of(array $high, array $low, array $close, array $volume, array $session, float $multiple, ?int $anchor = null): array
    {
        $vwap = $upper = $lower = [];
        $sum = $mean = $spread = 0.0;
        foreach ($close as $i => $now) {
            if ($anchor === null ? $i > 0 && $session[$i] !== $session[$i - 1] : $i === $anchor) {
                $sum = $mean = $spread = 0.0;
            }
            $weight = $anchor !== null && $i < $anchor ? 0.0 : $volume[$i];
            if ($weight > 0.0) {
                $sum += $weight;
                $distance = ($high[$i] + $low[$i] + $now) / 3 - $mean;
                $mean += $distance * $weight / $sum;
                $spread += $weight * $distance * (($high[$i] + $low[$i] + $now) / 3 - $mean);
            }
            $defined = $sum > 0.0;
            $deviation = $defined ? sqrt(max(0.0, $spread / $sum)) : 0.0;
            $vwap[] = $defined ? $mean : null;
            $upper[] = $defined ? $mean + $multiple * $deviation : null;
            $lower[] = $defined ? $mean - $multiple * $deviation : null;
        }

        return ['vwap' => $vwap, 'upper' => $upper, 'lower' => $lower];
    }
}
