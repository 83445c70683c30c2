<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Market\TimeFrame;

/** A destination that follows bars of a time frame and is computed anew at every close. */
trait Trailing
{
    public function mirrored(): self
    {
        return $this;
    }

    public function times(int $factor): self
    {
        return $this;
    }

    public function trails(): bool
    {
        return true;
    }

    public function closesOf(): ?TimeFrame
    {
        return null;
    }
}
