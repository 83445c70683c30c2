<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;

/** A price at which a share of the position is taken off. */
final readonly class Target
{
    public function __construct(public int $price, public BigDecimal $share)
    {
    }

    public function mirrored(): self
    {
        return new self(-$this->price, $this->share);
    }

    public function times(int $factor): self
    {
        return new self($this->price * $factor, $this->share);
    }
}
