<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

/** The nearest that price came to a leg that was never filled: distance in units, and where. */
final readonly class MissedBy
{
    public function __construct(public int $leg, public int $distance, public string $session)
    {
    }
}
