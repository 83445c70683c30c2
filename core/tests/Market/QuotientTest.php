<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Market;

use Brick\Math\BigRational;
use Brick\Math\Exception\DivisionByZeroException;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Watchpost\Core\Market\Quotient;

final class QuotientTest extends TestCase
{
    #[TestWith(['1', '3', 4, '0.3333'])]
    #[TestWith(['-2', '3', 4, '-0.6667'])]
    #[TestWith(['1', '-2', 0, '-1'])]
    #[TestWith(['5', '1000', 2, '0.01'])]
    #[TestWith(['-4', '1000', 2, '0.00'])]
    #[TestWith(['7/3', '7/3', 2, '1.00'])]
    #[TestWith(['100000000000000000000000000000', '3', 1, '33333333333333333333333333333.3'])]
    #[TestWith(['9223372036854775807', '9223372036854775806', 4, '1.0000'])]
    public function testRoundsHalfAwayFromZero(string $dividend, string $divisor, int $decimals, string $expected): void
    {
        self::assertSame($expected, Quotient::text(BigRational::of($dividend), BigRational::of($divisor), $decimals));
    }

    public function testSaysTheSameWithWholeNumbersAsWithArbitraryPrecision(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(7));
        $part = static fn (int $most): int => [1, -1][$random->getInt(0, 1)] * $random->getInt(1, $most);
        foreach ([9, 2_000, 3_000_000, 4_000_000_000, 5_000_000_000_000_000] as $most) {
            for ($i = 0; $i < 200; ++$i) {
                $dividend = BigRational::nd($part($most), $part($most));
                $divisor = BigRational::nd($part($most), $part($most));
                self::assertSame(Quotient::exact($dividend, $divisor, $i % 7), Quotient::text($dividend, $divisor, $i % 7));
            }
        }
    }

    public function testRefusesToDivideByNothing(): void
    {
        $this->expectException(DivisionByZeroException::class);
        Quotient::text(BigRational::one(), BigRational::zero(), 2);
    }
}
