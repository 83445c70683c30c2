<?php

declare(strict_types=1);

namespace App\Data;

/** A fact in words: what, how much, and since when and from whom. */
final readonly class FactData
{
    public function __construct(public string $label, public string $value, public string $note)
    {
    }
}
