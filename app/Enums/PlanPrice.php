<?php

declare(strict_types=1);

namespace App\Enums;

/** What a price can be made into. */
enum PlanPrice: string
{
    case Entry = 'entry';
    case Stop = 'stop';
    case Target = 'target';
}
