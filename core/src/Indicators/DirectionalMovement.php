<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** The side and the strength of a trend. */
final class DirectionalMovement
{
    /**
     * up = h - h[i-1], down = l[i-1] - l; +DM = up if it is above 0 and above down, -DM likewise, else 0.
     * plus, minus = 100 x Wilder's smoothing of +DM, -DM / that of the true range, 0 while there is no range;
     * dx = 100 x |plus - minus| / (plus + minus), 0 when both are; adx = Wilder's smoothing of dx.
     * plus, minus and dx are defined from i = n, adx from i = 2n - 1; null before.
     *
     * Unit: 0 to 100. Source: New Concepts in Technical Trading Systems (1978); computations.md, Indicators.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return array{plus: list<float|null>, minus: list<float|null>, dx: list<float|null>, adx: list<float|null>}
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $high, array $low, array $close, int $period): array
    {
        $ups = $downs = [];
        foreach ($high as $i => $now) {
            if ($i === 0) {
                $ups[] = $downs[] = null;
                continue;
            }
            $up = $now - $high[$i - 1];
            $down = $low[$i - 1] - $low[$i];
            $ups[] = $up > 0.0 && $up > $down ? $up : 0.0;
            $downs[] = $down > 0.0 && $down > $up ? $down : 0.0;
        }
        $range = Wilder::of(TrueRange::of($high, $low, $close), $period);
        $plus = self::share(Wilder::of($ups, $period), $range);
        $minus = self::share(Wilder::of($downs, $period), $range);
        $dx = [];
        foreach ($plus as $i => $p) {
            $m = $minus[$i];
            $dx[] = $p === null || $m === null ? null : ($p + $m > 0.0 ? 100 * abs($p - $m) / ($p + $m) : 0.0);
        }

        return ['plus' => $plus, 'minus' => $minus, 'dx' => $dx, 'adx' => Wilder::of($dx, $period)];
    }

    /**
     * @param list<float|null> $movement
     * @param list<float|null> $range
     *
     * @return list<float|null>
     */
    private static function share(array $movement, array $range): array
    {
        $out = [];
        foreach ($movement as $i => $value) {
            $all = $range[$i];
            $out[] = $value === null || $all === null ? null : ($all > 0.0 ? 100 * $value / $all : 0.0);
        }

        return $out;
    }
}
