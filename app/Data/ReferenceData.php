<?php

declare(strict_types=1);

namespace App\Data;

/** Something that a text can name, and what it says now. */
final readonly class ReferenceData
{
    public function __construct(public string $name, public string $says)
    {
    }
}
