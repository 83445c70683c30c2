<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Indicators;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Indicators\Atr;
use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Levels\Distance;

final class IndicatorsTest extends TestCase
{
    public function testSmaIsTheMeanOfTheLastCloses(): void
    {
        self::assertSame([null, null, 2.0, 3.0, 5.0], Sma::of([1.0, 2.0, 3.0, 4.0, 8.0], 3));
    }

    public function testEmaIsSeededWithTheMeanOfTheFirstCloses(): void
    {
        self::assertSame([null, null, 2.0, 3.0, 5.5], Ema::of([1.0, 2.0, 3.0, 4.0, 8.0], 3));
    }

    public function testAtrIsWildersAverageOfTrueRanges(): void
    {
        // true ranges: -, 3 (gap up from 10), 2, 4 (gap down), 2
        $atr = Atr::of([11.0, 13.0, 13.5, 12.0, 10.5], [9.0, 11.0, 11.5, 9.0, 8.5], [10.0, 12.0, 13.0, 10.0, 9.0], 2);

        self::assertSame([null, null, 2.5, 3.25, 2.625], $atr);
    }

    public function testTooFewBarsGiveNothing(): void
    {
        self::assertSame([null], Sma::of([1.0], 2));
        self::assertSame([null], Ema::of([1.0], 2));
        self::assertSame([null, null], Atr::of([2.0, 2.0], [1.0, 1.0], [1.5, 1.5], 2));
        self::assertSame([], Atr::of([], [], [], 14));
    }

    public function testLaterValuesNeverChangeEarlierOnes(): void
    {
        $values = array_map(static fn (int $i): float => 50 + 10 * sin($i * 1.7) + $i % 7, range(0, 60));
        $high = array_map(static fn (float $v): float => $v + 1.3, $values);
        $low = array_map(static fn (float $v): float => $v - 0.9, $values);
        foreach ([1, 2, 20, 59] as $n) {
            $cut = static fn (array $all): array => array_slice($all, 0, $n);
            self::assertSame($cut(Sma::of($values, 10)), Sma::of($cut($values), 10));
            self::assertSame($cut(Ema::of($values, 10)), Ema::of($cut($values), 10));
            self::assertSame($cut(Atr::of($high, $low, $values, 10)), Atr::of($cut($high), $cut($low), $cut($values), 10));
        }
    }

    public function testDistanceIsToldInPercentAndInAtr(): void
    {
        $distance = Distance::from(4400, 4000, 160.0);

        self::assertSame(['10.00', '2.5'], [$distance->percent, $distance->atr]);
        self::assertNull(Distance::from(4400, 4000, null)->atr);
        self::assertSame('-0.30', Distance::from(3988, 4000, 160.0)->percent);
        self::assertSame('0.0', Distance::from(3999, 4000, 160.0)->atr);
    }
}
