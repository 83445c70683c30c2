<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;

/** A share as an author types it. */
final class ShareText
{
    /** Null unless it is a number above 0. */
    public static function read(string $text): ?BigDecimal
    {
        try {
            $share = BigDecimal::of($text);
        } catch (MathException) {
            return null;
        }

        return $share->isPositive() ? $share : null;
    }
}
