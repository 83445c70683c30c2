<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Simple moving average. */
final class Sma
{
    /**
     * sma(n)[i] = (x[i-n+1] + ... + x[i]) / n; null until n defined values are there.
     *
     * The sum of each window is taken anew, so that no rounding error is carried along a long series.
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
        $first = self::firstDefined($values) + $period - 1;
        $out = [];
        foreach ($values as $i => $_) {
            if ($i < $first) {
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

    /** @param list<float|null> $values */
    private static function firstDefined(array $values): int
    {
        foreach ($values as $i => $value) {
            if ($value !== null) {
                return $i;
            }
        }

        return count($values);
    }
}
