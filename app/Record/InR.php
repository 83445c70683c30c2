<?php

declare(strict_types=1);

namespace App\Record;

use App\Support\Signed;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** Results in R as people read them, to two decimals. */
final class InR
{
    private const PLACES = 2;

    /** @param iterable<string|null> $results decimals; what has none adds nothing */
    public static function sum(iterable $results): string
    {
        $sum = BigDecimal::zero();
        foreach ($results as $r) {
            $sum = $sum->plus($r ?? '0');
        }

        return (string) $sum->toScale(self::PLACES, RoundingMode::HALF_UP);
    }

    /** "+1.25 R" */
    public static function told(string $r): string
    {
        return Signed::of(self::sum([$r])).' R';
    }
}
