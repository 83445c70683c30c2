<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

enum Side: string
{
    case Long = 'long';
    case Short = 'short';

    /** +1 for a long, -1 for a short. */
    public function sign(): int
    {
        return $this === self::Long ? 1 : -1;
    }

    public function opposite(): self
    {
        return $this === self::Long ? self::Short : self::Long;
    }
}
