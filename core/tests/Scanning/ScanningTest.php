<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Scanning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Scanning\Breadth;
use Watchpost\Core\Scanning\PercentileRank;
use Watchpost\Core\Scanning\Ratio;
use Watchpost\Core\Scanning\Scan;

final class ScanningTest extends TestCase
{
    public function testARatioStandsOnCommonDates(): void
    {
        $ratio = Ratio::of(['a' => 10.0, 'b' => 12.0, 'd' => 9.0], ['a' => 5.0, 'c' => 1.0, 'd' => 3.0]);

        self::assertSame([['a', 'd'], [2.0, 3.0], [100.0, 150.0]], [$ratio->dates, $ratio->values, $ratio->rebased()]);
        self::assertSame([], Ratio::of(['a' => 1.0], ['b' => 1.0])->rebased());
    }

    public function testARatioLeadsWhenItIsAtAnExtremeAndPriceIsNot(): void
    {
        $price = ['a' => 10.0, 'b' => 11.0, 'c' => 10.5, 'd' => 10.8, 'e' => 12.0];
        $index = ['a' => 10.0, 'b' => 11.0, 'c' => 9.0, 'd' => 14.0, 'e' => 4.0];

        self::assertSame([null, null, 1, -1, 0], Ratio::of($price, $index)->leads(2), 'e: price is at a high itself');
    }

    /** @param list<array{int, int, int, int}> $bars high, low, close, volume */
    #[DataProvider('scanned')]
    public function testAScanSaysHowStronglyTheLastSessionAnswersIt(Scan $scan, int $sessions, array $bars, ?float $expected): void
    {
        $days = Series::of(new PriceGrid(2), TimeFrame::Day, array_map(
            static fn (array $bar, int $i): Bar => new Bar($i, $i + 1, sprintf('2026-10-%02d', $i + 1), $bar[2], $bar[0], $bar[1], $bar[2], $bar[3]),
            $bars,
            array_keys($bars),
        ));
        $value = $scan->of($days, $sessions);

        self::assertSame($expected === null, $value === null);
        self::assertEqualsWithDelta($expected ?? 0.0, $value ?? 0.0, 1e-9);
    }

    /** @return iterable<string, array{Scan, int, list<array{int, int, int, int}>, ?float}> */
    public static function scanned(): iterable
    {
        $flat = static fn (int ...$closes): array => array_map(static fn (int $close): array => [$close, $close, $close, 100], $closes);
        yield 'a high above those before' => [Scan::NewHigh, 2, [[200, 1, 10, 1], [100, 90, 95, 1], [80, 70, 75, 1], [105, 60, 70, 1]], 5.0];
        yield 'one of the three before was as high' => [Scan::NewHigh, 3, [[105, 1, 10, 1], [100, 90, 95, 1], [80, 70, 75, 1], [105, 60, 70, 1]], null];
        yield 'too few sessions' => [Scan::NewHigh, 3, [[1, 1, 1, 1], [2, 2, 2, 1], [3, 3, 3, 1]], null];
        yield 'a low below those before' => [Scan::NewLow, 2, [[200, 1, 10, 1], [100, 90, 95, 1], [80, 80, 80, 1], [105, 60, 70, 1]], 25.0];
        yield 'no new low' => [Scan::NewLow, 1, $flat(50, 50), null];
        yield 'through its average' => [Scan::CrossedAbove, 2, $flat(100, 80, 120), 20.0];
        yield 'above it already' => [Scan::CrossedAbove, 2, $flat(100, 110, 120), null];
        yield 'down through it' => [Scan::CrossedBelow, 2, $flat(100, 120, 80), 20.0];
        yield 'not below it' => [Scan::CrossedBelow, 2, $flat(100, 80, 120), null];
        yield 'risen' => [Scan::Risen, 2, $flat(100, 40, 150), 50.0];
        yield 'not risen' => [Scan::Risen, 2, $flat(100, 40, 100), null];
        yield 'fallen' => [Scan::Fallen, 2, $flat(100, 400, 75), 25.0];
        yield 'more traded' => [Scan::Volume, 2, [[1, 1, 1, 900], [1, 1, 1, 100], [1, 1, 1, 300], [1, 1, 1, 500]], 2.5];
        yield 'less traded' => [Scan::Volume, 2, [[1, 1, 1, 900], [1, 1, 1, 100], [1, 1, 1, 300], [1, 1, 1, 200]], null];
    }

    public function testRanksRunFromLeastToGreatest(): void
    {
        self::assertSame(['a' => 0.0, 'b' => 50.0, 'c' => 100.0, 'd' => null], PercentileRank::of(['a' => -3.0, 'b' => 1.0, 'c' => 8.0, 'd' => null]));
        self::assertSame([25.0, 25.0, 100.0], PercentileRank::of([1.0, 1.0, 2.0]));
        self::assertSame([null], PercentileRank::of([1.0]));
    }

    public function testBreadthCountsEachAgainstItsOwnCloseBefore(): void
    {
        $breadth = Breadth::of([
            'UP.Q' => ['2026-10-01' => 1.0, '2026-10-02' => 2.0, '2026-10-03' => 3.0],
            'DOWN.Q' => ['2026-10-01' => 3.0, '2026-10-02' => 2.0, '2026-10-03' => 2.0],
            'NEW.Q' => ['2026-10-02' => 5.0, '2026-10-03' => 4.0],
        ]);

        self::assertSame([[1, 1], [1, 1]], [$breadth->advancers, $breadth->decliners]);
        self::assertSame([null, null], $breadth->above50);
    }

    public function testBreadthOverALongRise(): void
    {
        $dates = array_map(static fn (int $i): string => sprintf('day %04d', $i), range(0, 299));
        $rising = array_combine($dates, array_map(static fn (int $i): float => 10.0 + $i, range(0, 299)));
        $falling = array_map(static fn (float $price): float => 1_000 / $price, $rising);
        $breadth = Breadth::of(['UP.Q' => $rising, 'DOWN.Q' => $falling, 'TOO.Q' => $rising]);
        $last = count($breadth->dates) - 1;

        self::assertSame([2, 1, 2, 1], [$breadth->advancers[$last], $breadth->decliners[$last], $breadth->newHighs[$last], $breadth->newLows[$last]]);
        self::assertEqualsWithDelta(200 / 3, $breadth->above50[$last], 1e-9);
        self::assertEqualsWithDelta(200 / 3, $breadth->above200[$last], 1e-9);
        self::assertEqualsWithDelta(0.0, $breadth->oscillator[$last], 1e-9, 'a steady breadth does not oscillate');
        self::assertNull($breadth->sum[37]);
    }

    public function testNoFigureKnowsALaterSession(): void
    {
        $column = static fn (float $shift): array => array_combine(
            array_map(static fn (int $i): string => sprintf('day %04d', $i), range(0, 319)),
            array_map(static fn (int $i): float => 50 + $shift + 6 * sin($i / 9 + $shift) + 3 * sin($i * 1.3), range(0, 319)),
        );
        $closes = ['A.Q' => $column(0.0), 'B.Q' => $column(1.0), 'C.Q' => $column(2.5)];
        $whole = Breadth::of($closes);
        $ratio = Ratio::of($closes['A.Q'], $closes['B.Q']);
        foreach ([60, 210, 300] as $n) {
            $cut = static fn (array $values): array => array_slice($values, 0, $n);
            $part = Breadth::of(array_map($cut, $closes));
            foreach (['advancers', 'newHighs', 'above50', 'above200', 'oscillator', 'sum'] as $name) {
                self::assertSame($part->{$name}, array_slice($whole->{$name}, 0, $n - 1), $name);
            }
            self::assertSame(Ratio::of($cut($closes['A.Q']), $cut($closes['B.Q']))->leads(20), $cut($ratio->leads(20)));
        }
    }
}
