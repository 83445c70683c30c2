<?php

declare(strict_types=1);

namespace Watchpost\Core\Statistics;

/** How bad it got on the way, case after case in order of time. */
final readonly class Losses
{
    /**
     * @param int   $longest  the longest run of losses
     * @param float $greatest the greatest fall of the sum from its highest point so far, 0 or below
     */
    private function __construct(public int $longest, public float $greatest)
    {
    }

    /**
     * A loss is a value below 0; anything else ends a run. The sum begins at 0.
     *
     * Unit: that of the values (R). Source: computations.md, Statistics.
     *
     * @param list<float> $values
     */
    public static function of(array $values): self
    {
        $run = $longest = 0;
        $sum = $top = $greatest = 0.0;
        foreach ($values as $value) {
            $run = $value < 0.0 ? $run + 1 : 0;
            $longest = max($longest, $run);
            $sum += $value;
            $top = max($top, $sum);
            $greatest = min($greatest, $sum - $top);
        }

        return new self($longest, $greatest);
    }
}
