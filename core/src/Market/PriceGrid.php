<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;

/**
 * The grid on which an instrument's prices lie. Inside, a price is an integer count of units, one unit being
 * 10^-decimals of the currency; outside, it is a decimal string. The tick is the step of tradable prices.
 */
final readonly class PriceGrid
{
    public const MAX_DECIMALS = 6;

    private const MAX_UNITS = 1_000_000_000_000_000;

    /**
     * @param int $decimals decimals of a price, 0 to 6
     * @param int $tick     the tick in units, at least 1
     */
    public function __construct(public int $decimals, public int $tick = 1)
    {
        if ($decimals < 0 || $decimals > self::MAX_DECIMALS) {
            throw new \InvalidArgumentException('decimals must be 0 to 6');
        }
        if ($tick < 1) {
            throw new \InvalidArgumentException('the tick must be above 0');
        }
    }

    /**
     * The grid of an instrument whose tick is told as a decimal price.
     *
     * @throws \InvalidArgumentException when the tick is not above 0 or has more decimals than the instrument
     */
    public static function withTick(int $decimals, string|BigDecimal $tick): self
    {
        return new self($decimals, (new self($decimals))->units($tick) ?? 0);
    }

    /**
     * The units of a decimal price; null if it has more decimals than the instrument or is out of range.
     */
    public function units(string|BigDecimal $price): ?int
    {
        try {
            $units = BigDecimal::of($price)->withPointMovedRight($this->decimals)->toScale(0, RoundingMode::UNNECESSARY);
        } catch (MathException) {
            return null;
        }

        return $units->abs()->isGreaterThan(self::MAX_UNITS) ? null : $units->toInt();
    }

    /** Whether a price in units is one that can be traded. */
    public function onTick(int $units): bool
    {
        return $units % $this->tick === 0;
    }

    /** The tradable price nearest to a price in (fractional) units; halves go up. */
    public function nearestTick(float $units): int
    {
        return (int) floor($units / $this->tick + 0.5) * $this->tick;
    }

    /** A price on the scale of which one old unit is so many new ones: the nearest that can be traded, a tick at least. */
    public function afterSplit(int $units, float $ratio): int
    {
        return max($this->tick, $this->nearestTick($units / $ratio));
    }

    /** A price in units as a decimal string with the instrument's decimals. */
    public function format(int $units): string
    {
        if ($this->decimals === 0) {
            return (string) $units;
        }
        $digits = str_pad((string) abs($units), $this->decimals + 1, '0', STR_PAD_LEFT);

        return ($units < 0 ? '-' : '').substr($digits, 0, -$this->decimals).'.'.substr($digits, -$this->decimals);
    }

    /**
     * A computed price, in units, as a decimal string, rounded half away from zero.
     *
     * @param int $extra decimals beyond the instrument's own
     */
    public function formatExact(BigRational $units, int $extra = 0): string
    {
        return Quotient::text($units, BigRational::of(10 ** $this->decimals), $this->decimals + $extra);
    }

    /** The value of a price in currency, for drawing and for indicators; never for a comparison of prices. */
    public function toFloat(int $units): float
    {
        return $units / 10 ** $this->decimals;
    }
}
