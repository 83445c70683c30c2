<?php

declare(strict_types=1);

namespace App\Enums;

enum LevelGrade: string
{
    case Major = 'major';
    case Minor = 'minor';
}
