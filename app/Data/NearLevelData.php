<?php

declare(strict_types=1);

namespace App\Data;

/** The nearest level above or below price. */
final readonly class NearLevelData
{
    public function __construct(public string $price, public string $origin, public string $percent, public ?string $atr)
    {
    }
}
