<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Simple moving average. */
final class Sma
{
    private const SHRUNK = 1e-3;

    /**
     * sma(n)[i] = (x[i-n+1] + ... + x[i]) / n; null until n defined values are there.
     *
     * The sum slides along; it is taken anew every n bars, and when it has shrunk so far that what large values left
     * behind by rounding could be seen in it.
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
        $sum = $size = $peak = 0.0;
        $length = (float) $period;
        $age = $period;
        foreach ($values as $i => $value) {
            if ($i < $first) {
                $out[] = null;
                continue;
            }
            if ($age < $period) {
                $sum += $value - $values[$i - $period];
                $size = $sum < 0.0 ? -$sum : $sum;
                if ($size > $peak) {
                    $peak = $size;
                }
                ++$age;
            }
            if ($age >= $period || $size < self::SHRUNK * $peak) {
                $sum = self::sum($values, $i, $period);
                $size = $peak = abs($sum);
                $age = 0;
            }
            $out[] = $sum / $length;
        }

        return $out;
    }

    /** @param list<float|null> $values */
    private static function sum(array $values, int $last, int $period): float
    {
        $sum = 0.0;
        for ($j = $last - $period + 1; $j <= $last; ++$j) {
            $sum += $values[$j];
        }

        return $sum;
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
