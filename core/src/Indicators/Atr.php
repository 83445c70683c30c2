<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Average true range. */
final class Atr
{
    /**
     * atr(n): Wilder's smoothing of the true range, seeded at i = n with the mean of the first n true ranges (the first
     * bar has none); null before.
     *
     * Unit: that of the prices. Source: New Concepts in Technical Trading Systems (1978); computations.md, Indicators.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $high, array $low, array $close, int $period): array
    {
        return Wilder::of(TrueRange::of($high, $low, $close), $period);
    }
}
