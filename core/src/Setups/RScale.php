<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * Prices told in R: 0 at the planned entry, -1 at the stop.
 *
 * Formula: R(price) = (price - entry) / (entry - stop), exact, rounded half away from zero. For a short both
 * differences change sign, so the formula is the same. Source: product.md, R; look.md, the R scale.
 */
final readonly class RScale
{
    /**
     * @param int $entry the planned entry in units, tolerance included
     * @param int $stop  in units
     *
     * @throws \InvalidArgumentException when entry and stop are the same
     */
    public function __construct(public int $entry, public int $stop)
    {
        if ($entry === $stop) {
            throw new \InvalidArgumentException('entry and stop must differ');
        }
    }

    /**
     * The scale of a staged entry, from the average of its parts, rounded to a unit. The planned risk of the whole is
     * the distance of that average from the stop.
     *
     * @param list<array{int, BigDecimal}> $entries planned price, in units, and share of each part
     *
     * @throws \InvalidArgumentException when there is no part, or their average is the stop
     */
    public static function between(array $entries, int $stop): self
    {
        $sum = $shares = BigDecimal::zero();
        foreach ($entries as [$price, $share]) {
            $sum = $sum->plus($share->multipliedBy($price));
            $shares = $shares->plus($share);
        }
        if ($shares->isZero()) {
            throw new \InvalidArgumentException('an entry needs a price');
        }

        return new self($sum->dividedBy($shares, 0, RoundingMode::HALF_UP)->toInt(), $stop);
    }

    /** R of a price, as a decimal string without a plus sign. */
    public function at(int $price, int $decimals = 2): string
    {
        return (string) BigRational::nd($price - $this->entry, $this->entry - $this->stop)->toScale($decimals, RoundingMode::HALF_UP);
    }

    /** Planned risk per unit, in units of the grid. */
    public function risk(): int
    {
        return abs($this->entry - $this->stop);
    }
}
