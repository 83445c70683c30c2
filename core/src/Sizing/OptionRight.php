<?php

declare(strict_types=1);

namespace Watchpost\Core\Sizing;

use Brick\Math\BigDecimal;

enum OptionRight: string
{
    case Call = 'call';
    case Put = 'put';

    /** What one unit of it is worth at expiry, at a price: max(0, price - strike) of a call, max(0, strike - price) of a put. */
    public function worth(BigDecimal $price, BigDecimal $strike): BigDecimal
    {
        return BigDecimal::max(BigDecimal::zero(), $this === self::Call ? $price->minus($strike) : $strike->minus($price));
    }
}
