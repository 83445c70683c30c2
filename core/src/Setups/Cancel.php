<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** A price, touched, at which the waiting legs end; a position is not affected. Told for a long. */
final readonly class Cancel
{
    public function __construct(public int $price, public CancelSide $side = CancelSide::Stop)
    {
    }

    public function mirrored(): self
    {
        return new self(-$this->price, $this->side);
    }

    public function times(int $factor): self
    {
        return new self($this->price * $factor, $this->side);
    }

    /** Whether trading at a price meets it. */
    public function isMetAt(int $price): bool
    {
        return $this->side === CancelSide::Stop ? $price <= $this->price : $price >= $this->price;
    }

    /** Whether a leg at this price would be reached before the cancel, seen from an open between the two. */
    public function comesAfter(int $legPrice): bool
    {
        return $this->side === CancelSide::Stop ? $legPrice >= $this->price : $legPrice <= $this->price;
    }
}
