<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;

/**
 * What has been filled and taken out, as shares of the full size. Prices in units, for a long.
 */
final class Position
{
    public BigDecimal $filled;
    public BigDecimal $open;
    /** Sum over fills of share x price. */
    public BigDecimal $paid;
    /** Sum over exits of share x (exit price - average fill at that moment). */
    public BigRational $profit;
    public BigDecimal $costs;
    private ?BigRational $average = null;
    private bool $isOpen = false;
    private bool $wasFilled = false;

    public function __construct()
    {
        $this->filled = BigDecimal::zero();
        $this->open = BigDecimal::zero();
        $this->paid = BigDecimal::zero();
        $this->profit = BigRational::zero();
        $this->costs = BigDecimal::zero();
    }

    public function isOpen(): bool
    {
        return $this->isOpen;
    }

    public function wasFilled(): bool
    {
        return $this->wasFilled;
    }

    /** The average of the fills so far, weighted by share; exits do not change it. */
    public function averageFill(): BigRational
    {
        return $this->average ??= $this->paid->toBigRational()->dividedBy($this->filled)->simplified();
    }

    public function fill(BigDecimal $share, int $price, BigDecimal $costPerUnit): void
    {
        $this->filled = $this->filled->plus($share);
        $this->open = $this->open->plus($share);
        $this->paid = $this->paid->plus($share->multipliedBy($price));
        $this->pay($share, $costPerUnit);
        $this->average = $this->wasFilled ? null : BigRational::of($price);
        $this->isOpen = $this->wasFilled = true;
    }

    public function exit(BigDecimal $share, int $price, BigDecimal $costPerUnit): void
    {
        $this->open = $this->open->minus($share);
        $this->isOpen = $this->open->isPositive();
        $this->profit = $this->profit->plus($this->gainOf($share, $price));
        $this->pay($share, $costPerUnit);
    }

    /** What has been won and lost so far, after costs, in units. */
    public function realised(): BigRational
    {
        return $this->costs->isZero() ? $this->profit : $this->profit->minus($this->costs);
    }

    /** Gain, in units x share, of the open part at a price. */
    public function openGainAt(int $price): BigRational
    {
        return $this->isOpen() ? $this->gainOf($this->open, $price) : BigRational::zero();
    }

    private function pay(BigDecimal $share, BigDecimal $perUnit): void
    {
        if (! $perUnit->isZero()) {
            $this->costs = $this->costs->plus($share->multipliedBy($perUnit));
        }
    }

    private function gainOf(BigDecimal $share, int $price): BigRational
    {
        return BigRational::of($price)->minus($this->averageFill())->multipliedBy($share);
    }

    /** @return list<string> */
    public function toState(): array
    {
        return [(string) $this->filled, (string) $this->open, (string) $this->paid, (string) $this->profit->simplified(), (string) $this->costs];
    }

    /** @param list<string> $state */
    public static function fromState(array $state): self
    {
        $position = new self();
        [$filled, $open, $paid, $profit, $costs] = $state;
        $position->filled = BigDecimal::of($filled);
        $position->open = BigDecimal::of($open);
        $position->paid = BigDecimal::of($paid);
        $position->profit = BigRational::of($profit);
        $position->costs = BigDecimal::of($costs);
        $position->isOpen = $position->open->isPositive();
        $position->wasFilled = $position->filled->isPositive();

        return $position;
    }
}
