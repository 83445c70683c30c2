<?php

declare(strict_types=1);

namespace App\Data;

/** A place where a person is signed in. */
final readonly class SignedInData
{
    public function __construct(public string $what, public string $address, public string $lastSeen, public bool $isHere)
    {
    }
}
