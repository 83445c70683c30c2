<?php

declare(strict_types=1);

namespace App\Enums;

/** What a file holds. */
enum ImportKind: string
{
    case Bars = 'bars';
    case Instruments = 'instruments';
    case Events = 'events';

    public function label(): string
    {
        return match ($this) {
            self::Bars => 'Bars',
            self::Instruments => 'Instruments',
            self::Events => 'Events',
        };
    }
}
