<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

enum Grade: string
{
    case Major = 'major';
    case Minor = 'minor';
}
