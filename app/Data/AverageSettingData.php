<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\AverageKind;

final readonly class AverageSettingData
{
    public function __construct(public AverageKind $kind, public int $period)
    {
    }
}
