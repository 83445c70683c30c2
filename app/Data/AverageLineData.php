<?php

declare(strict_types=1);

namespace App\Data;

final readonly class AverageLineData
{
    /** @param list<float|null> $values */
    public function __construct(public string $name, public array $values)
    {
    }
}
