<?php

declare(strict_types=1);

namespace App\Data;

final readonly class TargetData
{
    public function __construct(public string $price, public string $share, public ?string $r)
    {
    }
}
