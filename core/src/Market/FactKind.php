<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** What can be known of an instrument beside its prices. */
enum FactKind: string
{
    case SharesOutstanding = 'shares_outstanding';
    case FreeFloat = 'free_float';
    case SharesSoldShort = 'shares_sold_short';
    case Sales = 'sales';
    case EarningsPerShare = 'earnings_per_share';
    case Spread = 'spread';

    public function label(): string
    {
        return match ($this) {
            self::SharesOutstanding => 'Shares outstanding',
            self::FreeFloat => 'Free float',
            self::SharesSoldShort => 'Shares sold short',
            self::Sales => 'Sales of the quarter',
            self::EarningsPerShare => 'Earnings per share of the quarter',
            self::Spread => 'Usual spread',
        };
    }

    public function unit(): string
    {
        return match ($this) {
            self::Sales => 'million',
            self::EarningsPerShare => '',
            self::Spread => '%',
            default => 'shares',
        };
    }
}
