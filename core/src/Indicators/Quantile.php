<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** A quantile of sorted values. */
final class Quantile
{
    /**
     * The value at rank q x (n - 1), counted from 0, interpolated linearly between its neighbours.
     *
     * Unit: that of the values. Source: Hyndman and Fan, Sample Quantiles in Statistical Packages (1996), type 7.
     *
     * @param list<float> $sorted in ascending order
     * @param float       $q      0 to 1
     *
     * @throws \InvalidArgumentException when there are no values
     */
    public static function of(array $sorted, float $q): float
    {
        if ($sorted === []) {
            throw new \InvalidArgumentException('no values have no quantile');
        }
        $rank = $q * (count($sorted) - 1);
        $below = (int) floor($rank);
        $above = min($below + 1, count($sorted) - 1);

        return $sorted[$below] + ($rank - $below) * ($sorted[$above] - $sorted[$below]);
    }
}
