<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Mean and population standard deviation of the last values, together. */
final class Moments
{
    /** Below this share of the largest sum of squares since the sums were last taken, rounding could be seen. */
    private const SHRUNK = 1e-4;

    /**
     * mean(n)[i] = (x[i-n+1] + ... + x[i]) / n; deviation(n)[i] = sqrt(mean of (x[j] - mean(n)[i])^2 over the last n
     * values), exactly 0 when they are all the same; null until n values are there.
     *
     * The sums of distances from a value near by, and of their squares, slide along. They are taken anew, in two passes
     * about the window's own mean, every n bars and whenever the variance is so small beside them that rounding could
     * be seen: small deviations of large prices are not lost.
     *
     * Unit: that of the values. Source: computations.md, Indicators.
     *
     * @param list<float> $values
     *
     * @return array{mean: list<float|null>, deviation: list<float|null>}
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $values, int $period): array
    {
        Period::check($period);
        $means = $deviations = [];
        $near = $sum = $squares = $peak = $variance = 0.0;
        $length = (float) $period;
        $age = $period;
        $same = 0;
        $before = null;
        foreach ($values as $i => $value) {
            $same = $value === $before ? $same + 1 : 1;
            $before = $value;
            if ($i < $period - 1) {
                $means[] = $deviations[] = null;
                continue;
            }
            if ($same >= $period) {
                $means[] = $value;
                $deviations[] = 0.0;
                $age = $period;
                continue;
            }
            if ($age < $period) {
                $new = $value - $near;
                $old = $values[$i - $period] - $near;
                $sum += $new - $old;
                $squares += $new * $new - $old * $old;
                $variance = $squares - $sum * $sum / $length;
                if ($squares > $peak) {
                    $peak = $squares;
                }
                ++$age;
            }
            if ($age >= $period || $variance < self::SHRUNK * $peak) {
                $near = self::mean($values, $i, $period);
                [$sum, $squares] = self::sums($values, $i, $period, $near);
                $variance = $peak = $squares;
                $age = 0;
            }
            $means[] = $near + $sum / $length;
            $deviations[] = sqrt($variance / $length);
        }

        return ['mean' => $means, 'deviation' => $deviations];
    }

    /** @param list<float> $values */
    private static function mean(array $values, int $last, int $period): float
    {
        $sum = 0.0;
        for ($j = $last - $period + 1; $j <= $last; ++$j) {
            $sum += $values[$j];
        }

        return $sum / $period;
    }

    /**
     * @param list<float> $values
     *
     * @return array{float, float} the sums of the distances from a value, and of their squares
     */
    private static function sums(array $values, int $last, int $period, float $near): array
    {
        $sum = $squares = 0.0;
        for ($j = $last - $period + 1; $j <= $last; ++$j) {
            $distance = $values[$j] - $near;
            $sum += $distance;
            $squares += $distance * $distance;
        }

        return [$sum, $squares];
    }
}
