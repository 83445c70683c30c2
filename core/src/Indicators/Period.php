<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Checks the number of bars an indicator looks back. */
final class Period
{
    /** @throws \InvalidArgumentException when it is below 1 */
    public static function check(int $period): void
    {
        if ($period < 1) {
            throw new \InvalidArgumentException('the period must be at least 1');
        }
    }
}
