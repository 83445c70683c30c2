<?php

declare(strict_types=1);

namespace App\Data;

/** A figure beside a setup: what it is, its value with its unit, and what it means. */
final readonly class FigureData
{
    public function __construct(public string $label, public string $value, public string $note)
    {
    }
}
