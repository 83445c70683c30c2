<?php

declare(strict_types=1);

namespace App\Data;

/** A level that is laid aside. */
final readonly class RetiredLevelData
{
    public function __construct(public int $id, public string $words, public string $origin, public string $retiredOn, public string $because)
    {
    }
}
