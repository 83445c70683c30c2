<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** A price, touched or closed beyond, at which the waiting legs end; a position is not affected. Told for a long. */
final readonly class Cancel
{
    /** @param CloseRule|null $closes null for a cancel by touch */
    public function __construct(public int $price, public CancelSide $side = CancelSide::Stop, public ?CloseRule $closes = null)
    {
    }

    public function mirrored(): self
    {
        return new self(-$this->price, $this->side, $this->closes);
    }

    public function times(int $factor): self
    {
        return new self($this->price * $factor, $this->side, $this->closes);
    }

    /** Whether trading at a price meets a cancel by touch. */
    public function isMetAt(int $price): bool
    {
        return $this->closes === null && ($this->side === CancelSide::Stop ? $price <= $this->price : $price >= $this->price);
    }

    /** Whether a close lies strictly beyond it. */
    public function isPassedBy(int $close): bool
    {
        return $this->side === CancelSide::Stop ? $close < $this->price : $close > $this->price;
    }

    /** Whether a leg at this price would be reached before the cancel, seen from an open between the two. */
    public function comesAfter(int $legPrice): bool
    {
        return $this->side === CancelSide::Stop ? $legPrice >= $this->price : $legPrice <= $this->price;
    }

    public function describe(Words $words): string
    {
        if ($this->closes === null) {
            return "not entered any more once price has traded at {$words->price($this->price)}";
        }
        $beyond = $this->side === CancelSide::Stop ? $words->below() : $words->above();

        return "not entered any more after {$words->closes($this->closes)} {$beyond} {$words->price($this->price)}";
    }
}
