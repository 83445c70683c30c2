<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** Whether two levels are one and the same to a person. */
final class Agreement
{
    public const WITHIN = 0.35;

    /**
     * Whether their edges lie within 0.35 of the usual range of each other; levels that overlap agree.
     *
     * Unit: all in units of the grid.
     *
     * @param array{int, int} $one   lower and upper edge
     * @param array{int, int} $other
     */
    public static function between(array $one, array $other, float $range): bool
    {
        return max($one[0] - $other[1], $other[0] - $one[1]) <= self::WITHIN * $range;
    }
}
