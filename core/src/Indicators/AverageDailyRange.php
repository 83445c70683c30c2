<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** How far a session usually goes from its low to its high. */
final class AverageDailyRange
{
    /**
     * Mean of (high / low - 1) x 100 over n sessions; null until n are there.
     *
     * Unit: percent. Source: computations.md, Indicators.
     *
     * @param list<float> $high
     * @param list<float> $low above 0
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $high, array $low, int $period): array
    {
        $ranges = [];
        foreach ($high as $i => $top) {
            $ranges[] = ($top / $low[$i] - 1) * 100;
        }

        return Sma::of($ranges, $period);
    }
}
