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
            $flat = true;
            for ($j = $i - $period + 1; $j <= $i; ++$j) {
                $distance = $values[$j] - $mean;
                $sum += $distance * $distance;
                $flat = $flat && $values[$j] === $last;
            }
            $out[] = $flat ? 0.0 : sqrt($sum / $period);
        }

        return $out;
    }
}
