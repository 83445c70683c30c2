<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Indicators;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Watchpost\Core\Indicators\Atr;
use Watchpost\Core\Indicators\AtrStop;
use Watchpost\Core\Indicators\AverageDailyRange;
use Watchpost\Core\Indicators\Bollinger;
use Watchpost\Core\Indicators\Catalogue;
use Watchpost\Core\Indicators\Cloud;
use Watchpost\Core\Indicators\Compression;
use Watchpost\Core\Indicators\DirectionalMovement;
use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\ExpectedRange;
use Watchpost\Core\Indicators\Inputs;
use Watchpost\Core\Indicators\Keltner;
use Watchpost\Core\Indicators\Macd;
use Watchpost\Core\Indicators\Moments;
use Watchpost\Core\Indicators\Quantile;
use Watchpost\Core\Indicators\RelativeVolume;
use Watchpost\Core\Indicators\RollingReturn;
use Watchpost\Core\Indicators\Rsi;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Indicators\Stochastic;
use Watchpost\Core\Indicators\TrueRange;
use Watchpost\Core\Indicators\Vwap;
use Watchpost\Core\Indicators\ZScore;
use Watchpost\Core\Levels\Distance;

/** The definitions of computations.md on numbers worked by hand, and what holds for every indicator. */
final class IndicatorsTest extends TestCase
{
    private const CLOSE = [10.0, 11.0, 12.0, 11.0, 13.0, 12.0];
    private const HIGH = [10.5, 11.5, 12.5, 12.0, 13.5, 13.0];
    private const LOW = [9.5, 10.0, 11.0, 10.5, 11.5, 11.0];

    public function testSmaIsTheMeanOfTheLastCloses(): void
    {
        self::assertSame([null, null, 2.0, 3.0, 5.0], Sma::of([1.0, 2.0, 3.0, 4.0, 8.0], 3));
    }

    public function testEmaIsSeededWithTheMeanOfTheFirstCloses(): void
    {
        self::assertSame([null, null, 2.0, 3.0, 5.5], Ema::of([1.0, 2.0, 3.0, 4.0, 8.0], 3));
    }

    public function testTrueRangeTakesTheGapIn(): void
    {
        self::assertSame([null, 1.5, 1.5, 1.5, 2.5, 2.0], TrueRange::of(self::HIGH, self::LOW, self::CLOSE));
        self::assertSame([null, 3.0], TrueRange::of([11.0, 13.0], [9.0, 12.5], [10.0, 12.8]));
    }

    public function testAtrIsWildersAverageOfTrueRanges(): void
    {
        // true ranges: -, 3 (gap up from 10), 2, 4 (gap down), 2
        $atr = Atr::of([11.0, 13.0, 13.5, 12.0, 10.5], [9.0, 11.0, 11.5, 9.0, 8.5], [10.0, 12.0, 13.0, 10.0, 9.0], 2);

        self::assertSame([null, null, 2.5, 3.25, 2.625], $atr);
    }

    public function testRsiIsSeededWithTheMeansOfRisesAndFalls(): void
    {
        // changes +1 +1 -1 +2 -1: means of the first two 1 and 0; then .5/.5, 1.25/.25, .625/.625
        self::assertSame([null, null, 100.0, 50.0, 100 - 100 / 6, 50.0], Rsi::of(self::CLOSE, 2));
    }

    public function testRsiOfAFlatPriceIsFiftyAndOfAFallZero(): void
    {
        self::assertSame([null, null, 50.0, 50.0], Rsi::of([5.0, 5.0, 5.0, 5.0], 2));
        self::assertSame([null, null, 0.0], Rsi::of([5.0, 4.0, 3.0], 2));
    }

    public function testMacdIsTheDifferenceOfTwoAveragesAndItsSignalBeginsWhereItDoes(): void
    {
        $macd = Macd::of(self::CLOSE, 1, 2, 2);
        // ema(2): 10.5, 11.5, 11.1667, 12.3889, 12.1296; the signal is seeded with the mean of the first two
        self::assertNull($macd['macd'][0]);
        self::assertEqualsWithDelta([0.5, 0.5, -1 / 6, 11 / 18, -7 / 54], array_slice($macd['macd'], 1), 1e-12);
        self::assertSame([null, null], array_slice($macd['signal'], 0, 2));
        self::assertEqualsWithDelta([0.5, 1 / 18], array_slice($macd['signal'], 2, 2), 1e-12);
        self::assertEqualsWithDelta(-2 / 9, $macd['histogram'][3], 1e-12);
    }

    public function testStochasticIsFiftyOnAFlatRange(): void
    {
        $flat = Stochastic::of([5.0, 5.0, 5.0], [5.0, 5.0, 5.0], [5.0, 5.0, 5.0], 2, 1, 1);
        $k = Stochastic::of(self::HIGH, self::LOW, self::CLOSE, 3, 1, 2);

        self::assertSame([null, 50.0, 50.0], $flat['k']);
        self::assertEqualsWithDelta([250 / 3, 40.0, 250 / 3, 50.0], array_slice($k['k'], 2), 1e-12);
        self::assertEqualsWithDelta((40 + 250 / 3) / 2, $k['d'][4], 1e-12);
        self::assertNull($k['d'][2]);
    }

    public function testDirectionalMovementTakesTheLargerSideAlone(): void
    {
        // +DM 1 1 0 1.5 0, -DM 0 0 .5 0 .5 (12.0 < 12.5 and 10.5 < 11; 13 < 13.5 and 11 < 11.5), ranges 1.5 1.5 1.5 2.5 2
        $dm = DirectionalMovement::of(self::HIGH, self::LOW, self::CLOSE, 2);

        self::assertSame([null, null], array_slice($dm['plus'], 0, 2));
        self::assertEqualsWithDelta([100 / 1.5, 100 * 0.5 / 1.5, 50.0, 100 * 0.5 / 2], array_slice($dm['plus'], 2), 1e-12);
        self::assertEqualsWithDelta([0.0, 100 * 0.25 / 1.5, 100 * 0.125 / 2, 100 * 0.3125 / 2], array_slice($dm['minus'], 2), 1e-12);
        self::assertEqualsWithDelta([100.0, 100 / 3], array_slice($dm['dx'], 2, 2), 1e-12);
        self::assertSame([null, null, null], array_slice($dm['adx'], 0, 3));
        self::assertEqualsWithDelta((100 + 100 / 3) / 2, $dm['adx'][3], 1e-12);
    }

    public function testBandsStandAtPopulationDeviations(): void
    {
        $bands = Bollinger::of([2.0, 4.0, 6.0], 3, 2.0);
        $sd = sqrt(8 / 3);

        self::assertEqualsWithDelta([4 + 2 * $sd, 4.0, 4 - 2 * $sd], [$bands['upper'][2], $bands['middle'][2], $bands['lower'][2]], 1e-12);
        self::assertEqualsWithDelta([(6 - 4 + 2 * $sd) / (4 * $sd), $sd], [$bands['percent_b'][2], $bands['width'][2]], 1e-12);
        self::assertEqualsWithDelta(2 / $sd, ZScore::of([2.0, 4.0, 6.0], 3)[2], 1e-12);
    }

    public function testAFlatPriceHasNoDeviationAtAll(): void
    {
        $flat = array_fill(0, 25, 0.1);

        self::assertSame(0.0, Moments::of($flat, 20)['deviation'][24]);
        self::assertNull(ZScore::of($flat, 20)[24]);
        self::assertNull(Bollinger::of($flat, 20, 2.0)['percent_b'][24]);
        self::assertSame(0.0, Bollinger::of($flat, 20, 2.0)['width'][24]);
    }

    public function testKeltnerStandsAtAverageTrueRanges(): void
    {
        $bands = Keltner::of(self::HIGH, self::LOW, self::CLOSE, 2, 2, 1.5);

        self::assertEqualsWithDelta(11.5 + 1.5 * 1.5, $bands['upper'][2], 1e-12);
        self::assertNull($bands['lower'][1]);
    }

    public function testReturnsAndRanges(): void
    {
        self::assertEqualsWithDelta([20.0, 0.0], array_slice(RollingReturn::of(self::CLOSE, 2), 2, 2), 1e-12);
        self::assertEqualsWithDelta(((10.5 / 9.5 - 1) * 100 + 15) / 2, AverageDailyRange::of(self::HIGH, self::LOW, 2)[1], 1e-12);
    }

    public function testRelativeVolumeLooksAtTheBarsBefore(): void
    {
        self::assertSame([null, null, 2.0, 0.0, 0.05], RelativeVolume::of([100.0, 300.0, 400.0, 0.0, 10.0], 2));
        self::assertSame([null, null, null], RelativeVolume::of([0.0, 0.0, 5.0], 2));
    }

    public function testVwapBeginsAnewWithEachSession(): void
    {
        $vwap = Vwap::of([3.0, 6.0, 9.0], [3.0, 6.0, 9.0], [3.0, 6.0, 9.0], [1.0, 2.0, 0.0], ['a', 'a', 'b'], 2.0);

        self::assertEqualsWithDelta([3.0, 5.0], array_slice($vwap['vwap'], 0, 2), 1e-12);
        self::assertEqualsWithDelta(5 + 2 * sqrt(2.0), $vwap['upper'][1], 1e-12);
        self::assertNull($vwap['vwap'][2]);
        self::assertEqualsWithDelta([null, 6.0, 6.0], Vwap::of([3.0, 6.0, 9.0], [3.0, 6.0, 9.0], [3.0, 6.0, 9.0], [1.0, 2.0, 0.0], ['a', 'a', 'b'], 2.0, 1)['vwap'], 1e-12);
    }

    public function testTheCloudIsShownAheadAndKnowsNoLaterBar(): void
    {
        $cloud = Cloud::of(self::HIGH, self::LOW, self::CLOSE, 1, 2, 3);

        self::assertSame([10.0, 10.75], array_slice($cloud['conversion'], 0, 2));
        self::assertSame([null, 10.5], array_slice($cloud['base'], 0, 2));
        self::assertSame([null, null, null, (10.75 + 10.5) / 2], array_slice($cloud['leading_a'], 0, 4));
        self::assertSame([null, 11.0], array_slice($cloud['leading_b'], 3, 2));
        self::assertSame(self::CLOSE, $cloud['lagging']);
    }

    public function testTheTrailingStopOnlyMovesWithItsRunAndTurnsWhenCrossed(): void
    {
        $stop = AtrStop::of(self::HIGH, self::LOW, [10.0, 11.0, 12.0, 11.8, 10.0, 9.0], 2, 1.0);

        self::assertSame([1.0, 1.0, -1.0, -1.0], array_slice($stop['direction'], 2));
        self::assertEqualsWithDelta(10.5, $stop['stop'][2], 1e-12);
        self::assertGreaterThanOrEqual($stop['stop'][2], $stop['stop'][3]);
        self::assertGreaterThan(10.0, $stop['stop'][4]);
        self::assertLessThanOrEqual($stop['stop'][4], $stop['stop'][5]);
    }

    public function testCompressionLastsUntilTheBandsOpenAndSaysOnWhichSide(): void
    {
        $close = [];
        for ($i = 0; $i < 260; ++$i) {
            // lively, then ever calmer, then a rise
            $close[] = $i < 180 ? 100 + 6 * sin($i) : ($i < 240 ? 100 + 6 * sin($i) * (240 - $i) / 240 : 100 + 2.0 * ($i - 239));
        }
        $compression = Compression::of($close);

        self::assertNull($compression['bars'][142]);
        self::assertNotNull($compression['bars'][145]);
        self::assertGreaterThan(10.0, $compression['bars'][239]);
        $releases = array_filter($compression['released'], static fn (?float $value): bool => $value !== null && $value !== 0.0);
        self::assertSame(1.0, end($releases));
        self::assertGreaterThan(239, array_key_last($releases));
        self::assertSame(0.0, $compression['bars'][array_key_last($releases)]);
    }

    public function testTheExpectedRangeHoldsAboutAsOftenAsItsQuantilesSay(): void
    {
        $in = self::randomWalk(5, 900);
        $range = ExpectedRange::of($in->high, $in->low, $in->close, 250);

        self::assertNull($range['high'][263]);
        self::assertGreaterThan($in->close[264], $range['high'][264]);
        self::assertLessThan($in->close[264], $range['low'][264]);
        self::assertNull($range['held'][500]);
        self::assertEqualsWithDelta(0.9, $range['held_high'][899], 0.07);
        self::assertEqualsWithDelta(0.9, $range['held_low'][899], 0.07);
        self::assertLessThanOrEqual(min($range['held_low'][899], $range['held_high'][899]), $range['held'][899]);
    }

    public function testQuantilesAreInterpolated(): void
    {
        self::assertSame([1.0, 2.5, 4.0, 1.3], array_map(static fn (float $q): float => round(Quantile::of([1.0, 2.0, 3.0, 4.0], $q), 12), [0.0, 0.5, 1.0, 0.1]));
    }

    public function testDistanceIsToldInPercentAndInAtr(): void
    {
        $distance = Distance::from(4400, 4000, 160.0);

        self::assertSame(['10.00', '2.5'], [$distance->percent, $distance->atr]);
        self::assertNull(Distance::from(4400, 4000, null)->atr);
        self::assertSame('-0.30', Distance::from(3988, 4000, 160.0)->percent);
        self::assertSame('0.0', Distance::from(3999, 4000, 160.0)->atr);
    }

    /** @param list<float> $close */
    #[DataProvider('series')]
    public function testEveryIndicatorGivesOneFiniteValueOrNothingForEachBar(array $close, float $volume): void
    {
        $in = new Inputs(array_map(static fn (int $i): string => 'session '.intdiv($i, 7), array_keys($close)), $close, $close, $close, array_fill(0, count($close), $volume));
        foreach (Catalogue::all() as $name => $indicator) {
            foreach (self::columns($indicator->compute($in)) as $column) {
                self::assertCount(count($close), $column, $name);
                foreach ($column as $value) {
                    self::assertTrue($value === null || is_finite($value), $name);
                }
            }
        }
    }

    /** @return iterable<string, array{list<float>, float}> */
    public static function series(): iterable
    {
        yield 'none' => [[], 0.0];
        yield 'one bar' => [[12.5], 100.0];
        yield 'flat' => [array_fill(0, 320, 0.1), 5.0];
        yield 'flat without volume' => [array_fill(0, 320, 98_450.0), 0.0];
        yield 'tiny' => [array_map(static fn (int $i): float => 0.0001 + 0.0001 * ($i % 3), range(0, 319)), 1.0];
        yield 'one leap' => [[...array_fill(0, 160, 1.0), ...array_fill(0, 160, 1_000_000.0)], 1.0];
    }

    public function testNoIndicatorKnowsALaterBar(): void
    {
        $whole = self::randomWalk(11, 420);
        foreach ([1, 15, 60, 200, 419] as $n) {
            $cut = static fn (array $column): array => array_slice($column, 0, $n);
            $part = new Inputs($cut($whole->session), $cut($whole->high), $cut($whole->low), $cut($whole->close), $cut($whole->volume));
            foreach (Catalogue::all() as $name => $indicator) {
                $early = self::columns($indicator->compute($part));
                foreach (self::columns($indicator->compute($whole)) as $key => $column) {
                    self::assertSame($early[$key], $cut($column), "{$name} {$key} after {$n} bars");
                }
            }
        }
    }

    public function testTheCatalogueHasEveryNameAndItsOutputs(): void
    {
        self::assertEqualsCanonicalizing([
            'sma', 'ema', 'atr', 'true_range', 'rsi', 'macd', 'stochastic', 'directional_movement', 'bollinger', 'keltner', 'compression', 'z_score',
            'rolling_return', 'volume_average', 'relative_volume', 'vwap', 'cloud', 'atr_stop', 'average_daily_range', 'expected_range',
        ], array_keys(Catalogue::all()));
        foreach (Catalogue::all() as $indicator) {
            $values = $indicator->compute(self::randomWalk(1, 5));
            self::assertSame($indicator->outputs, array_is_list($values) ? [] : array_keys($values));
        }
    }

    /**
     * @param array<array-key, mixed> $values
     *
     * @return array<string, list<float|null>>
     */
    private static function columns(array $values): array
    {
        /** @var array<string, list<float|null>> */
        return array_is_list($values) ? ['value' => $values] : $values;
    }

    private static function randomWalk(int $seed, int $count): Inputs
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $uniform = static fn (): float => $random->getInt(-1_000_000, 1_000_000) / 1_000_000;
        $session = $high = $low = $close = $volume = [];
        $price = 100.0;
        for ($i = 0; $i < $count; ++$i) {
            $from = $price;
            $price *= 1 + 0.015 * $uniform();
            $session[] = 'session '.intdiv($i, 5);
            $high[] = max($from, $price) * (1 + 0.004 * abs($uniform()));
            $low[] = min($from, $price) * (1 - 0.004 * abs($uniform()));
            $close[] = $price;
            $volume[] = (float) $random->getInt(0, 9_000);
        }

        return new Inputs($session, $high, $low, $close, $volume);
    }
}
