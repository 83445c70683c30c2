<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Indicators;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Indicators\AverageOrder;
use Watchpost\Core\Indicators\Crossing;
use Watchpost\Core\Indicators\Divergence;
use Watchpost\Core\Indicators\Rsi;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Indicators\Stack;
use Watchpost\Core\Indicators\Streaks;
use Watchpost\Core\Levels\Swing;
use Watchpost\Core\Levels\Swings;
use Watchpost\Core\Statistics\Correlation;

final class ReadingsTest extends TestCase
{
    public function testAveragesStandInOrderOnlyWhenEachIsBeyondTheNext(): void
    {
        $order = AverageOrder::of([10.0, 10.0, 10.0, 10.0], [[null, 9.0, 11.0, 10.0], [8.0, 8.0, 12.0, 9.0]]);

        self::assertSame([null, Stack::Up, Stack::Down, Stack::Mixed], $order);
        self::assertSame([null], AverageOrder::of([10.0], []));
    }

    public function testASlopeIsToldInAverageTrueRangesPerBar(): void
    {
        self::assertSame([null, null, 0.5, null], AverageOrder::slope([null, 10.0, 11.0, 11.0], [1.0, 1.0, 2.0, 0.0]));
    }

    public function testTheLastCrossingIsWhereTheLineStandsOnItsNewSide(): void
    {
        $crossing = Crossing::last([null, 1.0, 3.0, 2.0, 1.0], [2.0, 2.0, 2.0, 2.0, 2.0]);

        self::assertSame([4, -1], [$crossing?->index, $crossing?->direction]);
        self::assertNull(Crossing::last([1.0, 2.0, 1.0], [2.0, 2.0, 2.0]), 'touching is not crossing');
    }

    /** T56 */
    public function testAnEqualCloseEndsARun(): void
    {
        self::assertSame([null, 1, 0, 1], Streaks::of([10.20, 10.40, 10.40, 10.55]));
        self::assertSame([null, -1, -2, 1, 2], Streaks::of([5.0, 4.0, 3.0, 4.0, 5.0]));
    }

    public function testTheShapeOfABar(): void
    {
        $shapes = Streaks::shapes([10.0, 9.5, 11.0, 9.0], [8.0, 8.0, 7.0, 9.0], [9.0, 9.5, 8.0, 9.0]);

        self::assertSame([null, true, false, true], $shapes['inside']);
        self::assertSame([null, false, true, false], $shapes['outside']);
        self::assertSame([0.5, 1.0, 0.25, 1.0], $shapes['place']);
        $narrowing = Streaks::shapes([9.0, 9.0, 9.0, 9.0, 9.0, 9.0, 8.5, 8.5], array_fill(0, 8, 8.0), array_fill(0, 8, 8.0));
        self::assertSame([null, null, null, null, null, null, true, false], $narrowing['narrowest']);
    }

    public function testASwingIsTheFirstOfEqualsAndKnownThreeBarsLater(): void
    {
        $high = [1.0, 2.0, 3.0, 5.0, 5.0, 2.0, 1.0, 1.0];
        $swings = array_filter(Swings::of($high, $high), static fn (Swing $swing): bool => $swing->isHigh);

        self::assertSame([[3, 6, 5.0]], array_map(static fn (Swing $swing): array => [$swing->index, $swing->knownAt, $swing->price], array_values($swings)));
        self::assertSame([], Swings::of(array_slice($high, 0, 6), array_slice($high, 0, 6)), 'not yet known');
    }

    public function testPriceMakesAHigherSwingWhileItsMomentumFades(): void
    {
        $close = [10.0, 11.0, 12.5, 14.5, 17.0, 16.0, 15.0, 14.0, 15.0, 15.5, 16.5, 17.2, 16.0, 15.0, 14.0];
        $rsi = Rsi::of($close, 3);
        self::assertGreaterThan($rsi[11], $rsi[4]);

        $divergence = Divergence::of($close, $close, $close, 3);

        self::assertSame([14], array_keys(array_filter($divergence['bearish'])), 'told when the second swing is known');
        self::assertSame([], array_filter($divergence['bullish']));
        $mirrored = array_map(static fn (float $price): float => 30 - $price, $close);
        self::assertSame([14], array_keys(array_filter(Divergence::of($mirrored, $mirrored, $mirrored, 3)['bullish'])));
    }

    public function testNoReadingKnowsALaterBar(): void
    {
        $close = array_map(static fn (int $i): float => 50 + 6 * sin($i / 3) + 4 * sin($i * 1.7), range(0, 199));
        $high = array_map(static fn (float $price): float => $price + 0.5, $close);
        $low = array_map(static fn (float $price): float => $price - 0.4, $close);
        $read = static fn (array $h, array $l, array $c): array => [
            ...array_values(Streaks::shapes($h, $l, $c)),
            ...array_values(Divergence::of($h, $l, $c)),
            Streaks::of($c),
            AverageOrder::of($c, [Sma::of($c, 3), Sma::of($c, 9)]),
            AverageOrder::slope(Sma::of($c, 3), Sma::of($c, 9)),
            Correlation::of($c, $h, 21),
        ];
        foreach ([10, 77, 150] as $n) {
            $cut = static fn (array $column): array => array_slice($column, 0, $n);
            self::assertSame($read($cut($high), $cut($low), $cut($close)), array_map($cut, $read($high, $low, $close)));
        }
    }
}
