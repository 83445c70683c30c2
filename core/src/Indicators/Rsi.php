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
        Period::check($period);
        $out = [];
        $gain = $loss = $before = 0.0;
        $kept = (float) ($period - 1);
        $length = (float) $period;
        $i = 0;
        foreach ($close as $now) {
            $change = $i === 0 ? 0.0 : $now - $before;
            $before = $now;
            if ($i > $period) {
                $gain *= $kept;
                $loss *= $kept;
            }
            if ($change > 0.0) {
                $gain += $change;
            } else {
                $loss -= $change;
            }
            if ($i >= $period) {
                $gain /= $length;
                $loss /= $length;
                $out[] = $loss > 0.0 ? 100.0 - 100.0 / (1.0 + $gain / $loss) : ($gain > 0.0 ? 100.0 : 50.0);
            } else {
                $out[] = null;
            }
            ++$i;
        }

        return $out;
    }
}
