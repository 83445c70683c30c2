<?php

declare(strict_types=1);

namespace App\Levels;

use Watchpost\Core\Market\PriceGrid;

/** A level that moves, for drawing. */
final class Curve
{
    private const DIGITS = 6;

    /**
     * @param list<int|float|null> $values in units, one for each bar
     * @param int|null             $next   at the next bar
     *
     * @return list<float|null> in currency, one more than there are bars
     */
    public static function of(array $values, ?int $next, PriceGrid $grid): array
    {
        $scale = 10 ** $grid->decimals;

        return array_map(static fn (int|float|null $units): ?float => $units === null ? null : round($units / $scale, self::DIGITS), [...$values, $next]);
    }
}
