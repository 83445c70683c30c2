<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Brick\Math\Exception\DivisionByZeroException;
use Brick\Math\RoundingMode;

/**
 * The quotient of two exact numbers as a decimal string, rounded half away from zero. Where every product fits a whole
 * number of the machine, as those of prices do, it is made with them; else with arbitrary precision. Both say the same.
 */
final class Quotient
{
    /** Well below the largest whole number, so that no rounding of the estimate matters. */
    private const FITS = 4e18;

    /** @throws DivisionByZeroException when the divisor is 0 */
    public static function text(BigRational $dividend, BigRational $divisor, int $decimals): string
    {
        return self::small($dividend, $divisor, $decimals) ?? self::exact($dividend, $divisor, $decimals);
    }

    public static function exact(BigRational $dividend, BigRational $divisor, int $decimals): string
    {
        return (string) $dividend->dividedBy($divisor)->toScale($decimals, RoundingMode::HALF_UP);
    }

    private static function small(BigRational $dividend, BigRational $divisor, int $decimals): ?string
    {
        $above = self::product($dividend->getNumerator(), $divisor->getDenominator(), 10 ** $decimals);
        $below = self::product($dividend->getDenominator(), $divisor->getNumerator(), 1);
        if ($above === null || $below === null || $below === 0) {
            return null;
        }
        $isNegative = ($above < 0) !== ($below < 0);
        $above = abs($above);
        $below = abs($below);
        $units = intdiv($above, $below);
        $rest = $above % $below;
        if ($rest >= $below - $rest) {
            ++$units;
        }

        return (new PriceGrid($decimals))->format($isNegative ? -$units : $units);
    }

    /** Null when it may not fit. */
    private static function product(BigInteger $a, BigInteger $b, int $times): ?int
    {
        $a = (string) $a;
        $b = (string) $b;

        return abs((float) $a * (float) $b * $times) < self::FITS ? (int) $a * (int) $b * $times : null;
    }
}
