<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Rest before movement: when the bands stand as close as they seldom do. */
final class Compression
{
    private const PERIOD = 20;
    private const DEVIATIONS = 2.0;
    private const MEMORY = 125;
    private const ENTERED_BELOW = 0.10;
    private const LEFT_ABOVE = 0.25;

    /**
     * On while the Bollinger(20, 2) band width stands at or below the 10 % quantile of its last 125 values, and from
     * then on until it is back above their 25 % quantile. bars = how many bars it has lasted, 0 when off; released = 1
     * or -1 on the bar that ends it, by the side of the SMA(20) on which it closes (0 when it closes on it), else 0.
     * Null until 125 widths are there. Quantiles are interpolated between the nearest ranks.
     *
     * Unit: bars; direction. Source: computations.md, Indicators.
     *
     * @param list<float> $close
     *
     * @return array{bars: list<float|null>, released: list<float|null>}
     */
    public static function of(array $close): array
    {
        $bands = Bollinger::of($close, self::PERIOD, self::DEVIATIONS);
        $widths = new SortedWindow(self::MEMORY);
        $bars = $released = [];
        $lasted = 0;
        foreach ($bands['width'] as $i => $width) {
            $middle = $bands['middle'][$i];
            if ($width !== null) {
                $widths->push($width);
            }
            if ($width === null || $middle === null || ! $widths->isFull()) {
                $bars[] = $released[] = null;
                continue;
            }
            $ends = $lasted > 0 && $width > $widths->quantile(self::LEFT_ABOVE);
            $goesOn = ! $ends && ($lasted > 0 || $width <= $widths->quantile(self::ENTERED_BELOW));
            $lasted = $goesOn ? $lasted + 1 : 0;
            $bars[] = (float) $lasted;
            $released[] = $ends ? (float) ($close[$i] <=> $middle) : 0.0;
        }

        return ['bars' => $bars, 'released' => $released];
    }
}
