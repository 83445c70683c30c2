<?php

declare(strict_types=1);

namespace App\Data;

/** One change in the life of a level. */
final readonly class LevelChangeData
{
    public function __construct(public string $at, public string $by, public string $what)
    {
    }
}
