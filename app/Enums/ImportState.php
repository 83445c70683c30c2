<?php

declare(strict_types=1);

namespace App\Enums;

/** How far an import has come. */
enum ImportState: string
{
    case Preview = 'preview';
    case Queued = 'queued';
    case Checking = 'checking';
    case Writing = 'writing';
    case Done = 'done';
    case Refused = 'refused';
    case Cancelled = 'cancelled';
    case Failed = 'failed';

    public function isUnderWay(): bool
    {
        return in_array($this, [self::Queued, self::Checking, self::Writing], true);
    }
}
