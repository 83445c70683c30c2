<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Exponential moving average. */
final class Ema
{
    /**
     * ema(n)[i] = ema[i-1] + 2 / (n+1) x (x[i] - ema[i-1]), seeded at i = n - 1 with the mean of the first n values;
     * null before.
     *
     * Unit: that of the values. Source: computations.md, Indicators.
     *
     * @param list<float> $values
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $values, int $period): array
    {
        if ($period < 1) {
            throw new \InvalidArgumentException('the period must be at least 1');
        }
        $factor = 2 / ($period + 1);
        $out = [];
        $sum = 0.0;
        $ema = null;
        foreach ($values as $i => $value) {
            if ($ema !== null) {
                $ema += $factor * ($value - $ema);
            } else {
                $sum += $value;
                if ($i === $period - 1) {
                    $ema = $sum / $period;
                }
            }
            $out[] = $ema;
        }

        return $out;
    }
}
