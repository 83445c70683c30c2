<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Population standard deviation of the last values. */
final class StandardDeviation
{
    /**
     * sd(n)[i] = sqrt(mean of (x[j] - sma(n)[i])^2 over the last n values); exactly 0 when they are all the same; null
     * until n values are there.
     *
     * Two passes over each window, so that small deviations of large prices are not lost.
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
        $means = Sma::of($values, $period);
        $out = [];
        foreach ($values as $i => $last) {
            $mean = $means[$i];
            if ($mean === null) {
                $out[] = null;
                continue;
            }
            $sum = 0.0;
            for ($j = $i - $period + 1; $j <= $i; ++$j) {
                $distance = $values[$j] - $mean;
                $sum += $distance * $distance;
            }
            // the mean of equal values may miss them by a rounding error, which is no deviation
            $out[] = $sum <= 1e-20 * $last * $last && self::isFlat($values, $i, $period) ? 0.0 : sqrt($sum / $period);
        }

        return $out;
    }

    /** @param list<float> $values */
    private static function isFlat(array $values, int $last, int $period): bool
    {
        for ($j = $last - $period + 1; $j < $last; ++$j) {
            if ($values[$j] !== $values[$last]) {
                return false;
            }
        }

        return true;
    }
}
