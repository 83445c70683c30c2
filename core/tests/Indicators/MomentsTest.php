<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Indicators;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Indicators\Extremes;
use Watchpost\Core\Indicators\Moments;
use Watchpost\Core\Indicators\Quantile;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Indicators\SortedWindow;

/** Windows that slide along give what exact arithmetic over each window gives. */
final class MomentsTest extends TestCase
{
    /** @param list<string> $prices */
    #[DataProvider('series')]
    public function testMeanAndDeviationAgreeWithExactArithmetic(array $prices, int $period): void
    {
        $values = array_map(floatval(...), $prices);
        $moments = Moments::of($values, $period);
        $sma = Sma::of($values, $period);
        foreach ($prices as $i => $_) {
            if ($i < $period - 1) {
                self::assertNull($moments['mean'][$i]);
                self::assertNull($sma[$i]);
                continue;
            }
            [$mean, $deviation] = self::exact(array_slice($prices, $i - $period + 1, $period));
            self::assertEqualsWithDelta($mean, $sma[$i], 1e-10 * $mean);
            self::assertEqualsWithDelta($mean, $moments['mean'][$i], 1e-10 * $mean);
            self::assertEqualsWithDelta($deviation, $moments['deviation'][$i], 1e-8 * $deviation);
        }
    }

    /** @return iterable<string, array{list<string>, int}> */
    public static function series(): iterable
    {
        $n = range(0, 139);
        yield 'a wave' => [array_map(static fn (int $i): string => sprintf('%.2f', 100 + 9 * sin($i)), $n), 20];
        yield 'tiny' => [array_map(static fn (int $i): string => sprintf('%.4f', 0.0001 * (1 + $i * 7 % 5)), $n), 5];
        yield 'small moves of a large price' => [array_map(static fn (int $i): string => sprintf('%.2f', 98_450 + 0.01 * ($i * 5 % 3)), $n), 20];
        yield 'a spike that leaves nearly flat prices' => [array_map(static fn (int $i): string => $i === 30 ? '900000.00' : sprintf('%.2f', 1 + 0.01 * ($i % 2)), $n), 20];
        yield 'a leap to another scale' => [array_map(static fn (int $i): string => $i < 60 ? sprintf('%.4f', 0.01 + 0.0001 * ($i % 3)) : sprintf('%.2f', 50_000 + 0.01 * ($i % 4)), $n), 10];
        yield 'flat for a while' => [array_map(static fn (int $i): string => $i % 50 < 30 ? '0.10' : sprintf('0.%d', 11 + $i % 7), $n), 20];
        yield 'period 1' => [['3.00', '4.00', '4.00'], 1];
    }

    public function testTheExtremesOfAWindowAreThoseOfItsValues(): void
    {
        $values = array_map(static fn (int $i): float => (float) ($i * 7 % 11), range(0, 60));
        foreach ([1, 3, 14] as $period) {
            $highest = Extremes::highest($values, $period);
            $lowest = Extremes::lowest($values, $period);
            foreach (array_keys($values) as $i) {
                $window = array_slice($values, max(0, $i - $period + 1), min($period, $i + 1));
                self::assertSame($i < $period - 1 ? [null, null] : [max($window), min($window)], [$highest[$i], $lowest[$i]]);
            }
        }
        self::assertSame([], Extremes::highest([], 5));
    }

    public function testASortedWindowForgetsTheOldest(): void
    {
        $window = new SortedWindow(5);
        $values = array_map(static fn (int $i): float => (float) ($i * 7 % 11), range(0, 60));
        foreach ($values as $i => $value) {
            $window->push($value);
            self::assertSame($i >= 4, $window->isFull());
            $last = array_slice($values, max(0, $i - 4), min(5, $i + 1));
            sort($last);
            self::assertSame(Quantile::of($last, 0.25), $window->quantile(0.25));
        }
    }

    /**
     * @param list<string> $prices
     *
     * @return array{float, float}
     */
    private static function exact(array $prices): array
    {
        $n = count($prices);
        $sum = $squares = BigDecimal::zero();
        foreach ($prices as $price) {
            $sum = $sum->plus($price);
            $squares = $squares->plus(BigDecimal::of($price)->power(2));
        }
        $variance = $squares->multipliedBy($n)->minus($sum->power(2));

        return [
            $sum->dividedBy($n, 30, RoundingMode::HALF_UP)->toFloat(),
            $variance->sqrt(30)->dividedBy($n, 30, RoundingMode::HALF_UP)->toFloat(),
        ];
    }
}
