<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Bands at a distance of average true ranges around the exponential average. */
final class Keltner
{
    /**
     * middle = ema(n); upper, lower = middle +- k x atr(m). Null where a part is undefined.
     *
     * Unit: that of the prices. Source: computations.md, Indicators.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return array{upper: list<float|null>, middle: list<float|null>, lower: list<float|null>}
     *
     * @throws \InvalidArgumentException when a period is below 1
     */
    public static function of(array $high, array $low, array $close, int $period, int $atrPeriod, float $multiple): array
    {
        $middle = Ema::of($close, $period);
        $atr = Atr::of($high, $low, $close, $atrPeriod);

        return ['upper' => Columns::band($middle, $atr, $multiple), 'middle' => $middle, 'lower' => Columns::band($middle, $atr, -$multiple)];
    }
}
