<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Change of the close over a number of bars. */
final class RollingReturn
{
    /**
     * (c / c n bars ago - 1) x 100; null for the first n bars.
     *
     * Unit: percent. Source: computations.md, Indicators.
     *
     * @param list<float> $close above 0
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $close, int $period): array
    {
        Period::check($period);
        $out = [];
        foreach ($close as $i => $now) {
            $out[] = $i < $period ? null : ($now / $close[$i - $period] - 1) * 100;
        }

        return $out;
    }
}
