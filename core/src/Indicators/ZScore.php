<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Distance of the close from its average in standard deviations. */
final class ZScore
{
    /**
     * (c - sma(n)) / population standard deviation(n); null until n values are there and while they are all the same.
     *
     * Unit: standard deviations. Source: computations.md, Indicators.
     *
     * @param list<float> $close
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $close, int $period): array
    {
        ['mean' => $mean, 'deviation' => $deviation] = Moments::of($close, $period);
        $out = [];
        foreach ($close as $i => $now) {
            $m = $mean[$i];
            $sd = $deviation[$i];
            $out[] = $m === null || $sd === null || $sd <= 0.0 ? null : ($now - $m) / $sd;
        }

        return $out;
    }
}
