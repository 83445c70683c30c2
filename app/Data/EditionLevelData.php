<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\LevelGrade;

final readonly class EditionLevelData
{
    /**
     * @param string $span both edges of a zone as they are read, else empty
     * @param float  $low  edges, for drawing
     */
    public function __construct(public string $price, public float $value, public string $span, public float $low, public float $high, public string $origin, public LevelGrade $grade)
    {
    }
}
