<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** A price that is off the last one by a factor of about 10, 100 or 1,000: a slip of the decimal point, most likely. */
final readonly class PriceDoubt
{
    private const LEAST = 0.7;
    private const MOST = 3;

    /**
     * @param int $factor   10, 100 or 1,000
     * @param int $probable the price that was probably meant, in units on the tick
     */
    private function __construct(public int $factor, public bool $isTooHigh, public int $probable)
    {
    }

    /**
     * With d = log10(price / last): in doubt when |d| is at least 0.7; the factor is 10 to the nearest whole power, at
     * most 1,000. Null when there is no doubt.
     *
     * Unit: units of the grid.
     *
     * @param int $price above 0
     * @param int $last  above 0
     */
    public static function of(int $price, int $last, int $tick): ?self
    {
        $power = log10($price / $last);
        if (abs($power) < self::LEAST) {
            return null;
        }
        $factor = 10 ** min(self::MOST, max(1, (int) round(abs($power))));
        $probable = $power > 0 ? $price / $factor : $price * $factor;

        return new self($factor, $power > 0, max($tick, (int) round($probable / $tick) * $tick));
    }
}
