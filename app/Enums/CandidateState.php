<?php

declare(strict_types=1);

namespace App\Enums;

enum CandidateState: string
{
    case New = 'new';
    case Kept = 'kept';
    case Passed = 'passed';
}
