<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

/** What moves many listings in a session: log returns over night and from open to close. */
final readonly class Factor
{
    /** @param float $size usual log move of such a session */
    public function __construct(public float $gap, public float $move, public float $size)
    {
    }
}
