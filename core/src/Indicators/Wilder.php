<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Wilder's smoothing, on which several measures rest. */
final class Wilder
{
    /**
     * w[i] = (w[i-1] x (n-1) + x[i]) / n, seeded with the mean of the first n defined values; null before.
     *
     * Unit: that of the values. Source: New Concepts in Technical Trading Systems (1978).
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
        $out = [];
        $kept = (float) ($period - 1);
        $length = (float) $period;
        $sum = 0.0;
        $seen = 0;
        $smooth = null;
        foreach ($values as $value) {
            if ($value === null) {
                $out[] = null;
                continue;
            }
            if ($smooth !== null) {
                $smooth = ($smooth * $kept + $value) / $length;
            } else {
                $sum += $value;
                if (++$seen === $period) {
                    $smooth = $sum / $period;
                }
            }
            $out[] = $smooth;
        }

        return $out;
    }
}
