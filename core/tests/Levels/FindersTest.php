<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Levels;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Indicators\ExpectedRange;
use Watchpost\Core\Levels\Confluence;
use Watchpost\Core\Levels\CrossCheck;
use Watchpost\Core\Levels\FoundLevel;
use Watchpost\Core\Levels\GapFinder;
use Watchpost\Core\Levels\Grade;
use Watchpost\Core\Levels\LevelFinder;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Levels\LineFinder;
use Watchpost\Core\Levels\MovingFinder;
use Watchpost\Core\Levels\PeriodMarkFinder;
use Watchpost\Core\Levels\PivotFinder;
use Watchpost\Core\Levels\RangeEdgeFinder;
use Watchpost\Core\Levels\RoundFinder;
use Watchpost\Core\Levels\Swing;
use Watchpost\Core\Levels\SwingRatioFinder;

/** Every other kind of found level. */
final class FindersTest extends TestCase
{
    public function testPeriodMarksNameTheBarTheyComeFrom(): void
    {
        // 30 sessions from Monday 6 January 2025; the last is Friday 14 February
        $closes = array_map(static fn (int $i): int => 1_000 + 10 * $i, range(0, 29));
        $marks = self::byOrigin((new PeriodMarkFinder())->find(Bars::input(Bars::through($closes))));

        self::assertSame(1_300, $marks['high of the previous session (2025-02-14)']);
        self::assertSame(1_290, $marks['close of the previous session (2025-02-14)']);
        self::assertSame([1_250, 1_180], [$marks['high of the previous week (2025-02-03)'], $marks['low of the previous week (2025-02-03)']]);
        self::assertSame(1_240, $marks['open of this week (2025-02-10)']);
        self::assertSame(1_200, $marks['high of the previous month (2025-01-06)']);
        self::assertSame([1_250, 1_230], [$marks['3-session low (2025-02-12)'], $marks['5-session low (2025-02-10)']]);
        self::assertSame([1_300, 990], [$marks['all-time high (2025-02-14)'], $marks['all-time low (2025-01-06)']]);
        self::assertArrayNotHasKey('52-week high (2025-02-14)', $marks, 'there are no 252 sessions yet');
    }

    public function testAWeekIsOverOnlyWhenTheDateLiesBeyondIt(): void
    {
        $bars = Bars::through(array_map(static fn (int $i): int => 1_000 + 10 * $i, range(0, 29)));
        $onFriday = self::byOrigin((new PeriodMarkFinder())->find(Bars::input($bars, '2025-02-14')));
        $onMonday = self::byOrigin((new PeriodMarkFinder())->find(Bars::input($bars, '2025-02-17')));

        self::assertArrayHasKey('high of the previous week (2025-02-03)', $onFriday);
        self::assertArrayHasKey('high of the previous week (2025-02-10)', $onMonday);
        self::assertArrayNotHasKey('open of this week (2025-02-10)', $onMonday);
    }

    /** @param list<array{int, int, int, int}> $after */
    #[DataProvider('gaps')]
    public function testAGapIsOpenPartlyFilledOrFilled(array $after, string $state, float $filled): void
    {
        // edge-cases.md, T49: previous low 22.60, then a high of 21.75
        $bars = [...Bars::through([...array_fill(0, 16, 2_280)], 20), [2_140, 2_175, 2_100, 2_120], ...$after];
        $gaps = (new GapFinder())->find(Bars::input($bars));

        self::assertCount(1, $gaps);
        self::assertSame([2_175, 2_260, 2_260], [$gaps[0]->low, $gaps[0]->high, $gaps[0]->price], 'the far edge of a gap down is the upper one');
        self::assertSame($state, $gaps[0]->details['state']);
        self::assertEqualsWithDelta($filled, $gaps[0]->details['filled'], 1e-4);
    }

    /** @return iterable<string, array{list<array{int, int, int, int}>, string, float}> */
    public static function gaps(): iterable
    {
        yield 'untouched' => [[[2_120, 2_170, 2_110, 2_150]], 'open', 0.0];
        yield 'entered' => [[[2_150, 2_192, 2_140, 2_180]], 'partly filled', 0.2];
        yield 'filled at the edge, inclusive' => [[[2_150, 2_260, 2_140, 2_250], [2_250, 2_255, 2_200, 2_210]], 'filled', 1.0];
    }

    public function testASmallGapIsNone(): void
    {
        self::assertSame([], (new GapFinder())->find(Bars::input([...Bars::through(array_fill(0, 16, 2_280), 20), [2_305, 2_330, 2_303, 2_310]])));
    }

    public function testPivotPoints(): void
    {
        $bars = [...Bars::through(array_fill(0, 10, 1_000)), [1_000, 1_060, 970, 1_030]];
        $points = self::byOrigin((new PivotFinder())->find(Bars::input($bars)));
        $day = ' of the previous session (2025-01-20)';

        self::assertSame([1_020, 1_070, 980, 1_110, 930, 1_160, 890], array_map(static fn (string $name): int => $points[$name.$day], ['P', 'R1', 'S1', 'R2', 'S2', 'R3', 'S3']));
        self::assertSame([1_054, 964, 1_110], [$points['Fibonacci R1'.$day], $points['Fibonacci S2'.$day], $points['Fibonacci R3'.$day]]);
    }

    public function testRetracementsLieOnTheTick(): void
    {
        // edge-cases.md, T53: 18.00 to 30.00
        $input = Bars::input(Bars::through([1_800, 2_400, 2_990, 2_800, 2_700]));
        $levels = self::byOrigin(SwingRatioFinder::levels($input, new Swing(0, 3, 1_800.0, false), new Swing(2, 5, 3_000.0, true)));
        $from = ' the move 2025-01-06 to 2025-01-08';

        self::assertSame([2_542, 2_258, 2_400], [$levels["38.2 % back of{$from}"], $levels["61.8 % back of{$from}"], $levels["50 % back of{$from}"]]);
        self::assertSame([3_326, 4_200], [$levels["127.2 % of{$from}"], $levels["200 % of{$from}"]]);
    }

    public function testAtANewHighOnlyProjectionsAreOffered(): void
    {
        $input = Bars::input(Bars::through([1_800, 2_400, 2_990, 2_800, 3_100]));
        $kinds = array_unique(array_map(static fn (FoundLevel $level): string => $level->kind->value, SwingRatioFinder::levels($input, new Swing(0, 3, 1_800.0, false), new Swing(2, 5, 3_000.0, true))));

        self::assertSame(['projection'], $kinds);
    }

    public function testTheDominantSwingIsTheLargestThatIsNotWhollyRetraced(): void
    {
        $closes = [...array_fill(0, 20, 1_500), 1_400, 1_300, 1_250, 1_300, 1_400, 1_500, 1_600, 1_700, 1_800, 1_750, 1_700, 1_650, 1_600, 1_620, 1_640, 1_660];
        $levels = (new SwingRatioFinder())->find(Bars::input(Bars::through($closes)));

        // 12.40 (the 23rd bar) to 18.10 (the 29th)
        self::assertStringEndsWith('back of the move 2025-02-05 to 2025-02-13', $levels[0]->origin);
        self::assertSame(1_525, self::byOrigin($levels)['50 % back of the move 2025-02-05 to 2025-02-13']);
    }

    public function testALineThroughThreeLowsAndItsChannel(): void
    {
        $found = (new LineFinder())->find(Bars::input(Bars::through(self::zigzag(70))));
        $rising = array_values(array_filter($found, static fn (FoundLevel $line): bool => str_starts_with($line->origin, 'rising line under')));

        self::assertNotSame([], $rising);
        self::assertGreaterThanOrEqual(3, count($rising[0]->touches));
        // the lows rise by 5 a bar: value at the next bar, and the line over the highs 220 above
        self::assertEqualsWithDelta(1_000 - 10 + 5 * 70, $rising[0]->price, 6.0);
        self::assertEqualsWithDelta(0.05, $rising[0]->details['per_bar'], 1e-6);
        self::assertEqualsWithDelta(220, (float) $rising[0]->details['channel'] * 100 - $rising[0]->price, 8.0);
        self::assertSame('open', $rising[0]->details['state']);
    }

    public function testALineIsBrokenByTheFirstCloseBeyondAndForgottenLater(): void
    {
        $closes = [...self::zigzag(70), 1_250, 1_150, 1_100];
        $broken = array_values(array_filter((new LineFinder())->find(Bars::input(Bars::through($closes))), static fn (FoundLevel $line): bool => str_starts_with($line->origin, 'rising line under')));
        $later = array_filter((new LineFinder())->find(Bars::input(Bars::through([...$closes, ...array_fill(0, 25, 1_100)]))), static fn (FoundLevel $line): bool => str_starts_with($line->origin, 'rising line under'));

        self::assertSame(['broken', Bars::dates(71)[70]], [$broken[0]->details['state'], $broken[0]->details['broken_on']]);
        self::assertSame([], $later);
    }

    public function testALogarithmicLineIsStraightInItsLogarithm(): void
    {
        $closes = array_map(static fn (int $close, int $i): int => (int) round(1_000 * 1.01 ** $i) + $close, array_map(static fn (int $i): int => self::wave($i), range(0, 69)), range(0, 69));
        $lines = (new LineFinder(true))->find(Bars::input(Bars::through($closes, 2)));
        $rising = array_values(array_filter($lines, static fn (FoundLevel $line): bool => str_starts_with($line->origin, 'rising line under')));

        self::assertNotSame([], $rising);
        self::assertEqualsWithDelta(1_000 * 1.01 ** 70, $rising[0]->price, 25.0);
        self::assertTrue($rising[0]->details['logarithmic']);
    }

    public function testAveragesAreLeftOutUntilDefined(): void
    {
        $names = static fn (int $bars): array => array_map(static fn (FoundLevel $level): string => $level->origin, (new MovingFinder())->find(Bars::input(Bars::through(array_fill(0, $bars, 1_000)))));

        self::assertSame([], $names(9));
        self::assertSame(['EMA 10', 'SMA 20'], $names(30));
        self::assertContains('SMA 200', $names(210));
    }

    public function testRoundNumbersStandTwoToTenRangesApart(): void
    {
        // a usual range of 0.20 at 10.00: steps of 0.50
        $levels = (new RoundFinder())->find(Bars::input(Bars::through(array_fill(0, 30, 1_003))));

        self::assertSame([850, 900, 950, 1_000, 1_050, 1_100, 1_150], array_map(static fn (FoundLevel $level): int => $level->price, $levels));
    }

    public function testTheExpectedRangeTellsHowOftenItHeld(): void
    {
        $input = Bars::input(Bars::walk(9, 600));
        $edges = (new RangeEdgeFinder())->find($input);
        $range = ExpectedRange::of($input->highs, $input->lows, $input->closes, 250);

        self::assertSame([$input->tick((float) $range['high'][599]), $input->tick((float) $range['low'][599])], [$edges[0]->price, $edges[1]->price]);
        self::assertEqualsWithDelta($range['held_high'][599], $edges[0]->details['held'], 1e-4);
        self::assertSame([], (new RangeEdgeFinder())->find(Bars::input(Bars::walk(9, 200))), 'too few sessions');
    }

    public function testLevelsOfDifferentKindsThatLieTogetherAreJoined(): void
    {
        $input = Bars::input(Bars::through(array_fill(0, 30, 1_000), 50)); // a usual range of 1.00
        $at = static fn (LevelKind $kind, int $price): FoundLevel => FoundLevel::at($kind, $price, Grade::Minor, 1.0, "{$kind->value} {$price}");
        $joined = Confluence::of([$at(LevelKind::Round, 1_100), $at(LevelKind::Pivot, 1_120), $at(LevelKind::Average, 1_135), $at(LevelKind::Pivot, 1_136), $at(LevelKind::Round, 900), $at(LevelKind::Round, 920)], $input);

        self::assertCount(1, $joined, 'two of one kind are none');
        self::assertSame([1_100, 1_135, 'major'], [$joined[0]->low, $joined[0]->high, $joined[0]->grade->value]);
        self::assertSame(['round 1100', 'pivot 1120', 'average 1135'], $joined[0]->details['members']);
    }

    #[DataProvider('finders')]
    public function testNothingIsKnownBeforeItsTime(LevelFinder $finder): void
    {
        $bars = Bars::walk(77, 420);
        $then = Bars::input(array_slice($bars, 0, 300));
        $asOf = $then->asOf;
        $later = Bars::series($bars);
        // asked with later bars at hand, but as of that evening: what the command line and the application do
        $cut = static fn (array $column): array => array_slice($column, 0, count(array_filter($later->session, static fn (string $date): bool => $date <= $asOf)));
        $again = new LevelInput(new ($later::class)($later->grid, $later->timeFrame, $cut($later->start), $cut($later->session), $cut($later->open), $cut($later->high), $cut($later->low), $cut($later->close), $cut($later->volume)), $asOf);

        self::assertEquals($finder->find($then), $finder->find($again));
        foreach ($finder->find($then) as $level) {
            foreach ($level->touches as $touch) {
                self::assertLessThanOrEqual($asOf, $touch->session);
            }
        }
    }

    /** @return iterable<string, array{LevelFinder}> */
    public static function finders(): iterable
    {
        foreach ([new PeriodMarkFinder(), new GapFinder(), new PivotFinder(), new SwingRatioFinder(), new LineFinder(), new MovingFinder(), new RoundFinder()] as $finder) {
            yield $finder::class => [$finder];
        }
    }

    public function testOneBarOrAFlatSeriesIsNoFault(): void
    {
        self::assertNotSame([], (new CrossCheck())->of(Bars::input([[1_000, 1_000, 1_000, 1_000]])));
        self::assertNotSame([], (new CrossCheck())->of(Bars::input(array_fill(0, 400, [1, 1, 1, 1, 0]))));
    }

    /**
     * @param list<FoundLevel> $levels
     *
     * @return array<string, int>
     */
    private static function byOrigin(array $levels): array
    {
        return array_combine(array_map(static fn (FoundLevel $level): string => $level->origin, $levels), array_map(static fn (FoundLevel $level): int => $level->price, $levels));
    }

    /**
     * Closes that swing by 2.00 over a floor that rises by 0.05 a bar.
     *
     * @return list<int>
     */
    private static function zigzag(int $bars): array
    {
        return array_map(static fn (int $i): int => 1_000 + 5 * $i + self::wave($i), range(0, $bars - 1));
    }

    private static function wave(int $i): int
    {
        $place = $i % 12;

        return (int) round(200 * ($place <= 6 ? $place : 12 - $place) / 6);
    }
}
