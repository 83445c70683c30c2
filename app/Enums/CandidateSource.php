<?php

declare(strict_types=1);

namespace App\Enums;

/** Where a candidate came from. */
enum CandidateSource: string
{
    case Typed = 'typed';
    case Carried = 'carried';
    case Asked = 'asked';
    case Scan = 'scan';
    case Outside = 'outside';

    public function label(): string
    {
        return match ($this) {
            self::Typed => 'typed in',
            self::Carried => 'carried over',
            self::Asked => 'asked for',
            self::Scan => 'found by a scan',
            self::Outside => 'from elsewhere',
        };
    }
}
