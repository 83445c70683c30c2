<?php

declare(strict_types=1);

namespace App\Data;

final readonly class PlanPartTitleData
{
    public function __construct(public string $title, public string $place)
    {
    }
}
