<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Where the close stands in the range of the last bars. */
final class Stochastic
{
    /**
     * raw %K = (c - lowest low) / (highest high - lowest low) x 100 over n bars, 50 on a flat range; k = its SMA over
     * `smooth`; d = the SMA of k over `d`. Null where undefined.
     *
     * Unit: 0 to 100. Source: computations.md, Indicators.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return array{k: list<float|null>, d: list<float|null>}
     *
     * @throws \InvalidArgumentException when a period is below 1
     */
    public static function of(array $high, array $low, array $close, int $period, int $smooth, int $d): array
    {
        $tops = Extremes::highest($high, $period);
        $bottoms = Extremes::lowest($low, $period);
        $raw = [];
        foreach ($close as $i => $now) {
            $top = $tops[$i];
            $bottom = $bottoms[$i];
            $raw[] = match (true) {
                $top === null || $bottom === null => null,
                $top > $bottom => ($now - $bottom) / ($top - $bottom) * 100,
                default => 50.0,
            };
        }
        $k = Sma::of($raw, $smooth);

        return ['k' => $k, 'd' => Sma::of($k, $d)];
    }
}
