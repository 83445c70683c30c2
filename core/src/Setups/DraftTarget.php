<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** A target being planned: its price in units and its share as a decimal string. */
final readonly class DraftTarget
{
    public function __construct(public int $price, public string $share)
    {
    }
}
