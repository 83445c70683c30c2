<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;

/** One staged part of the entry, with its own trigger and its share of the full size. */
final readonly class Leg
{
    /** @param string|null $needs the leg that must be filled before this one may act */
    public function __construct(
        public string $name,
        public BigDecimal $share,
        public Trigger $trigger,
        public ?string $needs = null,
    ) {
    }

    public function mirrored(): self
    {
        return new self($this->name, $this->share, $this->trigger->mirrored(), $this->needs);
    }

    public function times(int $factor): self
    {
        return new self($this->name, $this->share, $this->trigger->times($factor), $this->needs);
    }
}
