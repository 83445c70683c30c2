<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** On which side of a session something happens. */
enum SessionSide: string
{
    case Before = 'before';
    case During = 'during';
    case After = 'after';

    public function label(): string
    {
        return match ($this) {
            self::Before => 'before the session',
            self::During => 'during the session',
            self::After => 'after the session',
        };
    }
}
