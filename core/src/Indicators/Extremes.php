<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** The greatest and the least of the last values. */
final class Extremes
{
    /**
     * highest(n)[i] = max(x[i-n+1], ..., x[i]); null until n values are there.
     *
     * Only values that can still become the greatest are kept in mind, so that a bar costs the same whatever n is.
     *
     * Unit: that of the values. Source: computations.md, Indicators (stochastic, cloud).
     *
     * @param list<float> $values
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function highest(array $values, int $period): array
    {
        return self::extreme($values, $period, 1.0);
    }

    /**
     * lowest(n)[i] = min(x[i-n+1], ..., x[i]); null until n values are there.
     *
     * @see highest()
     *
     * @param list<float> $values
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function lowest(array $values, int $period): array
    {
        return self::extreme($values, $period, -1.0);
    }

    /**
     * @param list<float> $values
     *
     * @return list<float|null>
     */
    private static function extreme(array $values, int $period, float $sign): array
    {
        Period::check($period);
        $out = [];
        /** @var array<int, int> $waiting indexes of values that get less from one to the next */
        $waiting = [];
        $head = 0;
        $tail = 0;
        foreach ($values as $i => $value) {
            $size = $sign * $value;
            while ($tail > $head && $sign * $values[$waiting[$tail - 1]] <= $size) {
                --$tail;
            }
            $waiting[$tail++] = $i;
            if ($waiting[$head] <= $i - $period) {
                ++$head;
            }
            $out[] = $i < $period - 1 ? null : $values[$waiting[$head]];
        }

        return $out;
    }
}
