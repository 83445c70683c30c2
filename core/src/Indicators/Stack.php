<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** How the close and its averages stand to each other. */
enum Stack: string
{
    case Up = 'up';
    case Down = 'down';
    case Mixed = 'mixed';

    public function label(): string
    {
        return match ($this) {
            self::Up => 'stacked up',
            self::Down => 'stacked down',
            self::Mixed => 'mixed',
        };
    }
}
