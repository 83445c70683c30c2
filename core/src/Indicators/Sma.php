<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Simple moving average. */
final class Sma
{
    /**
     * sma(n)[i] = (x[i-n+1] + ... + x[i]) / n; null for the first n - 1 values.
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
        $out = [];
        foreach (array_keys($values) as $i) {
            if ($i < $period - 1) {
                $out[] = null;
                continue;
            }
            $sum = 0.0;
            for ($j = $i - $period + 1; $j <= $i; ++$j) {
                $sum += $values[$j];
            }
            $out[] = $sum / $period;
        }

        return $out;
    }
}
