<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * How far a price lies from the last close.
 *
 * Formulas: percent = (price / close - 1) x 100, two decimals, rounded half away from zero;
 * ATR = (price - close) / atr, one decimal, null while the average true range is undefined or zero.
 */
final readonly class Distance
{
    private function __construct(public string $percent, public ?string $atr)
    {
    }

    /**
     * @param int        $price in units
     * @param int        $close in units, above 0
     * @param float|null $atr   in units
     */
    public static function from(int $price, int $close, ?float $atr): self
    {
        return new self(
            (string) BigRational::nd(($price - $close) * 100, $close)->toScale(2, RoundingMode::HALF_UP),
            $atr === null || $atr <= 0.0 ? null : self::oneDecimal(($price - $close) / $atr),
        );
    }

    private static function oneDecimal(float $value): string
    {
        $text = number_format($value, 1, '.', '');

        return $text === '-0.0' ? '0.0' : $text;
    }
}
