<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\LevelGrade;

final readonly class EditionLevelData
{
    public function __construct(public string $price, public float $value, public string $origin, public LevelGrade $grade)
    {
    }
}
