<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Statistics;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Indicators\Stack;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Statistics\Correlation;
use Watchpost\Core\Statistics\Interval;
use Watchpost\Core\Statistics\Seasonality;
use Watchpost\Core\Statistics\TwoSessionOdds;

final class StatisticsTest extends TestCase
{
    public function testTheWilsonIntervalOfKnownCases(): void
    {
        $half = Interval::wilson(5, 10);
        self::assertEqualsWithDelta([0.5, 0.2693, 0.7307], [$half?->share, $half?->low, $half?->high], 5e-5);
        self::assertSame(0.0, Interval::wilson(0, 4)?->low);
        self::assertSame(1.0, Interval::wilson(4, 4)?->high);
        self::assertNull(Interval::wilson(0, 0));
        $this->expectException(\InvalidArgumentException::class);
        Interval::wilson(5, 4);
    }

    public function testCorrelationIsThatOfReturnsNotOfPrices(): void
    {
        $a = [100.0, 110.0, 99.0, 108.9, 98.01];
        $b = [10.0, 12.1, 9.801, 11.85921, 9.605960];
        $opposite = array_map(static fn (float $price): float => 1 / $price, $a);

        self::assertEqualsWithDelta(1.0, Correlation::of($a, $b, 4)[4], 1e-6);
        self::assertEqualsWithDelta(-1.0, Correlation::of($a, $opposite, 4)[4], 1e-12);
        self::assertSame([null, null, null], array_slice(Correlation::of($a, $b, 3), 0, 3));
        self::assertNull(Correlation::of($a, [5.0, 5.0, 5.0, 5.0, 5.0], 3)[4], 'one that does not move has none');
    }

    public function testTwoSeriesAreComparedOnTheDatesTheyHaveInCommon(): void
    {
        $series = static fn (array $closes): Series => Series::of(new PriceGrid(2), TimeFrame::Day, array_map(
            static fn (string $date, int $close): Bar => new Bar((int) strtotime($date), (int) strtotime($date) + 1, $date, $close, $close, $close, $close, 1),
            array_keys($closes),
            $closes,
        ));
        $a = $series(['2026-10-12' => 5_000, '2026-10-13' => 10_000, '2026-10-14' => 11_000, '2026-10-16' => 9_900]);
        $b = $series(['2026-10-13' => 2_000, '2026-10-14' => 2_200, '2026-10-15' => 4_000, '2026-10-16' => 1_980]);

        self::assertEqualsWithDelta(1.0, Correlation::last($a, $b, 2), 1e-9);
        self::assertNull(Correlation::last($a, $b, 3), 'they have three dates in common: two returns');
    }

    public function testMonthsAreCountedOverTheYears(): void
    {
        $closes = ['2022-12' => 100.0, '2023-01' => 110.0, '2023-02' => 99.0, '2023-12' => 50.0, '2024-01' => 49.0, '2025-01' => 60.0, '2025-12' => 40.0, '2026-01' => 48.0];
        $january = Seasonality::of($closes)[0];

        self::assertSame([1, 3], [$january->month, $january->years], '2025 has no December before it');
        self::assertEqualsWithDelta([28 / 3, 10.0, 2 / 3], [$january->mean, $january->median, $january->rises], 1e-9);
        self::assertSame(0, Seasonality::of($closes)[2]->years);
        self::assertNull(Seasonality::of($closes)[2]->mean);
        $inCycle = Seasonality::of($closes, 2022, 4)[0];
        self::assertSame(1, $inCycle->years, 'only 2026 is of the same year of the cycle as 2022');
        self::assertEqualsWithDelta(20.0, $inCycle->mean, 1e-9);
    }

    public function testTheOddsCountOnlySessionsInTheSameStateWhoseEndIsKnown(): void
    {
        // a saw of nine sessions: the state comes back each time, and with it what follows
        $close = array_map(static fn (int $i): float => 100 + [0, 1, 2, 3, 4, 5, 4, 3, 1][$i % 9] + $i / 100, range(0, 899));
        $averages = [Ema::of($close, 10), Sma::of($close, 20), Sma::of($close, 50)];
        $odds = TwoSessionOdds::of($close, $close, $close, $averages);

        self::assertNotNull($odds);
        self::assertSame(898, $odds->always->cases);
        self::assertFalse($odds->isTooFew());
        self::assertNotNull($odds->inState);
        self::assertLessThan(600, $odds->inState->cases);
        self::assertContains($odds->inState->share, [0.0, 1.0], 'in a saw the same state is always followed by the same');
        self::assertInstanceOf(Stack::class, $odds->order);
        self::assertNull(TwoSessionOdds::of(array_slice($close, 0, 100), array_slice($close, 0, 100), array_slice($close, 0, 100), [array_slice($averages[0], 0, 100)]));
    }
}
