<?php

declare(strict_types=1);

namespace App\Enums;

/** What is marked at a bar of the chart. */
enum BarMarkKind: string
{
    case Roll = 'roll';
    case Split = 'split';
    case Earnings = 'earnings';
    /** Bars are missing before this one. */
    case Missing = 'missing';
}
