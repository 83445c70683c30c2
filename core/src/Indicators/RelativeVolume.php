<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Volume of a bar against that of the bars before it. */
final class RelativeVolume
{
    /**
     * volume / mean volume of the n bars before it; null for the first n bars and while that mean is 0.
     *
     * Unit: a ratio. Source: computations.md, Indicators.
     *
     * @param list<float> $volume
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $volume, int $period): array
    {
        $mean = Sma::of($volume, $period);
        $out = [];
        foreach ($volume as $i => $now) {
            $before = $i === 0 ? null : $mean[$i - 1];
            $out[] = $before === null || $before <= 0.0 ? null : $now / $before;
        }

        return $out;
    }
}
