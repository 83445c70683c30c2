<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Market\TimeFrame;

/** A destination that needs no bars and does not change with the scale of prices. */
trait Fixed
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
        return false;
    }

    public function studies(): array
    {
        return [];
    }

    public function closesOf(): ?TimeFrame
    {
        return null;
    }
}
