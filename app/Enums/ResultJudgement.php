<?php

declare(strict_types=1);

namespace App\Enums;

/** How the result, which the rules give, compares with what the idea deserved. */
enum ResultJudgement: string
{
    case Deserved = 'deserved';
    case Lucky = 'lucky';
    case Unlucky = 'unlucky';
}
