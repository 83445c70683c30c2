<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Relative strength index. */
final class Rsi
{
    /**
     * rsi(n) = 100 - 100 / (1 + gain / loss), gain and loss being Wilder's smoothing of the rises and falls of the
     * close, seeded at i = n with their means; 100 when there are no losses, 50 when there are neither; null before.
     *
     * Unit: 0 to 100. Source: New Concepts in Technical Trading Systems (1978); computations.md, Indicators.
     *
     * @param list<float> $close
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $close, int $period): array
    {
        $rises = $falls = [];
        $before = null;
        foreach ($close as $now) {
            $rises[] = $before === null ? null : max(0.0, $now - $before);
            $falls[] = $before === null ? null : max(0.0, $before - $now);
            $before = $now;
        }
        $gains = Wilder::of($rises, $period);
        $losses = Wilder::of($falls, $period);
        $out = [];
        foreach ($gains as $i => $gain) {
            $loss = $losses[$i];
            $out[] = $gain === null || $loss === null ? null : match (true) {
                $loss > 0.0 => 100 - 100 / (1 + $gain / $loss),
                $gain > 0.0 => 100.0,
                default => 50.0,
            };
        }

        return $out;
    }
}
