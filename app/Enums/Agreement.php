<?php

declare(strict_types=1);

namespace App\Enums;

/** How a level of the author stands to the cross-check, and the other way about. */
enum Agreement: string
{
    case Agrees = 'agrees';
    case OnlyMine = 'only mine';
    case OnlyFound = 'only found';
}
