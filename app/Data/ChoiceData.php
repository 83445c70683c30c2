<?php

declare(strict_types=1);

namespace App\Data;

final readonly class ChoiceData
{
    public function __construct(public string $value, public string $label)
    {
    }
}
