<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

enum InstrumentKind: string
{
    case Share = 'share';
    case Fund = 'fund';
    case Index = 'index';
    case Pair = 'pair';
    case Future = 'future';
    case Coin = 'coin';
    case Series = 'series';

    public function label(): string
    {
        return match ($this) {
            self::Share => 'Share',
            self::Fund => 'Fund',
            self::Index => 'Index',
            self::Pair => 'Currency pair',
            self::Future => 'Future',
            self::Coin => 'Digital coin',
            self::Series => 'Plain series',
        };
    }

    /** Whether instruments of the kind can be bought and sold; the others are only watched. */
    public function isTraded(): bool
    {
        return $this !== self::Index && $this !== self::Series;
    }
}
