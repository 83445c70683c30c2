<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Bands at a distance of standard deviations around the simple average. */
final class Bollinger
{
    /**
     * middle = sma(n); upper, lower = middle +- k x population standard deviation(n);
     * percent_b = (c - lower) / (upper - lower), null while the bands coincide; width = (upper - lower) / middle.
     *
     * Unit: bands that of the prices; percent_b and width a ratio. Source: computations.md, Indicators.
     *
     * @param list<float> $close
     *
     * @return array{upper: list<float|null>, middle: list<float|null>, lower: list<float|null>, percent_b: list<float|null>, width: list<float|null>}
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $close, int $period, float $multiple): array
    {
        ['mean' => $middle, 'deviation' => $deviations] = Moments::of($close, $period);
        $upper = $lower = $percentB = $width = [];
        foreach ($close as $i => $now) {
            $centre = $middle[$i];
            if ($centre === null) {
                $upper[] = $lower[] = $percentB[] = $width[] = null;
                continue;
            }
            $reach = $multiple * $deviations[$i];
            $upper[] = $top = $centre + $reach;
            $lower[] = $bottom = $centre - $reach;
            $percentB[] = $top > $bottom ? ($now - $bottom) / ($top - $bottom) : null;
            $width[] = $centre > 0.0 ? ($top - $bottom) / $centre : null;
        }

        return ['upper' => $upper, 'middle' => $middle, 'lower' => $lower, 'percent_b' => $percentB, 'width' => $width];
    }
}
