<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Exponential moving average. */
final class Ema
{
    /**
     * ema(n)[i] = ema[i-1] + 2 / (n+1) x (x[i] - ema[i-1]), seeded with the mean of the first n defined values; null
     * before.
     *
     * Unit: that of the values. Source: computations.md, Indicators.
     *
     * @param list<float|null> $values null only at the beginning
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $values, int $period): array
    {
        Period::check($period);
        $factor = 2 / ($period + 1);
        $out = [];
        $sum = 0.0;
        $seen = 0;
        $ema = null;
        foreach ($values as $value) {
            if ($value === null) {
                $out[] = null;
                continue;
            }
            if ($ema !== null) {
                $ema += $factor * ($value - $ema);
            } else {
                $sum += $value;
                if (++$seen === $period) {
                    $ema = $sum / $period;
                }
            }
            $out[] = $ema;
        }

        return $out;
    }
}
