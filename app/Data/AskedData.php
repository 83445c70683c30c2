<?php

declare(strict_types=1);

namespace App\Data;

/** One who asked for a symbol. */
final readonly class AskedData
{
    public function __construct(public string $name, public string $tier, public string $note, public string $when)
    {
    }
}
