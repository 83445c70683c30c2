<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** What a level is to price where it stands now. */
enum Role: string
{
    case Support = 'support';
    case Resistance = 'resistance';
    case AtPrice = 'at_price';

    /** Support below price, resistance above it; at price when price stands within its edges. */
    public static function of(int $low, int $high, int $close): self
    {
        return match (true) {
            $high < $close => self::Support,
            $low > $close => self::Resistance,
            default => self::AtPrice,
        };
    }
}
