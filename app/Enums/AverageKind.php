<?php

declare(strict_types=1);

namespace App\Enums;

/** How a moving average weighs its closes. */
enum AverageKind: string
{
    case Simple = 'sma';
    case Exponential = 'ema';
}
