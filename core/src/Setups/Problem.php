<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** Something a rule forbids, told at the place where it is wrong. */
final readonly class Problem
{
    public function __construct(public string $path, public string $message)
    {
    }
}
