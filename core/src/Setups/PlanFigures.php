<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * What a planned setup promises and needs, before any bar: all in R of its planned risk, legs without a price of their
 * own taken at the last close.
 *
 * Source: product.md, R; computations.md, Statistics.
 */
final readonly class PlanFigures
{
    private BigDecimal $risk;
    private BigRational $average;

    /** @param int $close the last close, in units */
    public function __construct(private Setup $setup, private int $close)
    {
        $this->risk = $setup->plannedRisk($close);
        $prices = $setup->entryPrices();
        $sum = BigDecimal::zero();
        foreach ($setup->legs as $i => $leg) {
            $sum = $sum->plus($leg->share->multipliedBy($prices[$i] ?? $close));
        }
        $this->average = $sum->toBigRational();
    }

    /** The average entry if all legs are filled as planned, in units. */
    public function averageEntry(): BigRational
    {
        return $this->average;
    }

    /** 1 R of one unit of the full size, in units. */
    public function risk(): BigDecimal
    {
        return $this->risk;
    }

    /** R of leaving all at a price. */
    public function rAt(int $price): ?BigRational
    {
        return $this->risk->isZero()
            ? null
            : BigRational::of($price)->minus($this->average)->multipliedBy($this->setup->side->sign())->dividedBy($this->risk);
    }

    /**
     * R if every target is reached, each with its share; what the targets leave is counted as nothing.
     */
    public function blendedR(): ?BigRational
    {
        if ($this->setup->targets === [] || $this->risk->isZero()) {
            return null;
        }
        $blended = BigRational::zero();
        foreach ($this->setup->targets as $target) {
            $blended = $blended->plus(($this->rAt($target->price) ?? BigRational::zero())->multipliedBy($target->share));
        }

        return $blended->simplified();
    }

    /**
     * The share of trades that must win for no loss over many, if a win is the blended R and a loss 1 R: 1 / (1 + R).
     *
     * Unit: 0 to 1; null without a gain.
     */
    public function breakEvenRate(): ?BigRational
    {
        $blended = $this->blendedR();

        return $blended === null || ! $blended->isPositive() ? null : BigRational::one()->dividedBy($blended->plus(1));
    }

    /** How far price must still go to the first leg, in units: above 0 while it has not been reached. */
    public function distanceToEntry(): ?int
    {
        $price = $this->setup->entryPrices()[0] ?? null;
        if ($price === null) {
            return null;
        }
        $isReturn = $this->setup->asLong()->legs[0]->trigger->approach() === Approach::Return;

        return ($isReturn ? 1 : -1) * ($this->close - $price) * $this->setup->side->sign();
    }

    /**
     * Whole lots for a risk: the most units whose loss at the stop stays within it, rounded down to the lot.
     *
     * @param BigDecimal $risk      what may be lost, in the instrument's currency
     * @param BigDecimal $unitValue currency for one unit of price of one unit held (1 for a share, the point value of a future)
     * @param int        $lot       smallest number that can be traded
     * @param int        $decimals  of the instrument's prices
     */
    public function size(BigDecimal $risk, BigDecimal $unitValue, int $lot, int $decimals): int
    {
        $perUnit = $this->risk->toBigRational()->dividedBy(10 ** $decimals)->multipliedBy($unitValue);

        return $perUnit->isZero() ? 0 : BigRational::of($risk)->dividedBy($perUnit)->dividedBy($lot)->toScale(0, RoundingMode::DOWN)->toInt() * $lot;
    }
}
