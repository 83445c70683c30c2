<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Levels;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Levels\Agreement;
use Watchpost\Core\Levels\Anchor;
use Watchpost\Core\Levels\AverageShape;
use Watchpost\Core\Levels\Band;
use Watchpost\Core\Levels\FlatShape;
use Watchpost\Core\Levels\LevelState;
use Watchpost\Core\Levels\PriceDoubt;
use Watchpost\Core\Levels\Reaction;
use Watchpost\Core\Levels\ReactionKind;
use Watchpost\Core\Levels\ReactionTally;
use Watchpost\Core\Levels\Retirement;
use Watchpost\Core\Levels\RetirementReason;
use Watchpost\Core\Levels\SlopeShape;
use Watchpost\Core\Levels\Touch;
use Watchpost\Core\Levels\TouchKind;
use Watchpost\Core\Levels\TouchWalk;

/** Levels an author marked: where they lie, what came of them. */
final class OwnLevelsTest extends TestCase
{
    /**
     * @param list<array{int, int, int, int}> $bars
     * @param list<string>                    $kinds
     */
    #[DataProvider('walks')]
    public function testAVisitHoldsBreaksOrChangesTheRole(array $bars, array $kinds, string $state): void
    {
        $series = Bars::series($bars);
        $touches = (new TouchWalk(Band::flat(1_000, 1_010, count($bars)), 5.0))->walk($series, 1);

        self::assertSame($kinds, array_map(static fn (Touch $touch): string => $touch->kind->value, $touches));
        self::assertSame($state, LevelState::after($touches)->value);
    }

    /** @return iterable<string, array{list<array{int, int, int, int}>, list<string>, string}> */
    public static function walks(): iterable
    {
        $above = [1_050, 1_060, 1_040, 1_050];
        $below = [960, 970, 950, 960];
        $tested = [1_040, 1_045, 1_005, 1_030];
        $through = [1_030, 1_035, 980, 990];
        $fromBelow = [970, 1_004, 960, 965];
        yield 'no visit' => [[$above, $above], [], 'active'];
        yield 'held' => [[$above, $tested, $above], ['held'], 'tested'];
        yield 'two bars in a row are one visit' => [[$above, $tested, $tested, $above], ['held'], 'tested'];
        yield 'two visits' => [[$above, $tested, $above, $tested], ['held', 'held'], 'tested'];
        yield 'broke' => [[$above, $through], ['broke'], 'broken'];
        yield 'a close a little beyond is no break' => [[$above, [1_030, 1_035, 990, 996], $above], ['held'], 'tested'];
        yield 'a close within, then away' => [[$above, [1_030, 1_035, 1_002, 1_006], $above], ['held'], 'tested'];
        yield 'jumped over' => [[$above, $below], ['broke'], 'broken'];
        yield 'role change' => [[$above, $through, $below, $fromBelow], ['broke', 'role_change'], 'role_changed'];
        yield 'and broken again' => [[$above, $through, $below, $fromBelow, [980, 1_040, 975, 1_030]], ['broke', 'role_change', 'broke'], 'broken'];
        yield 'back in its old role' => [[$above, $through, $below, [980, 1_040, 975, 1_030], $above, $tested], ['broke', 'broke', 'held'], 'tested'];
    }

    /** @param list<array{int, int, int, int}> $after */
    #[DataProvider('reactions')]
    public function testHowALevelDid(array $after, string $kind, ?int $turn): void
    {
        // a usual range of 0.20; price stands above a level at 10.00
        $bars = [...array_fill(0, 20, [1_050, 1_060, 1_040, 1_050]), ...$after];
        $input = Bars::input($bars);
        $reaction = Reaction::of($input->series, (new FlatShape(1_000, 1_000))->band($input), $input->atr, 20);

        self::assertSame([$kind, $turn], [$reaction->kind->value, $reaction->turn]);
        self::assertSame($kind === 'untouched' ? null : $input->series->session[20], $reaction->touchedOn);
        if ($turn !== null) {
            self::assertEqualsWithDelta($turn / 20, $reaction->turnInAtr, 1e-6);
        }
    }

    /** @return iterable<string, array{list<array{int, int, int, int}>, string, int|null}> */
    public static function reactions(): iterable
    {
        $touch = [1_015, 1_020, 997, 1_005];
        yield 'untouched' => [[[1_040, 1_050, 1_001, 1_020]], 'untouched', null];
        yield 'held, after 0.03 beyond it' => [[$touch, [1_010, 1_020, 1_005, 1_015]], 'held', -3];
        yield 'away by less than a usual range' => [[$touch, [1_010, 1_019, 1_005, 1_015]], 'undecided', null];
        yield 'broke' => [[$touch, [1_000, 1_001, 985, 989]], 'broke', -15];
        yield 'a close beyond by half a range is not enough' => [[$touch, [1_000, 1_001, 985, 990]], 'undecided', null];
        yield 'broke on the bar of the touch' => [[[1_040, 1_045, 980, 985]], 'broke', -20];
        yield 'what the bar of the touch did before is not known' => [[[1_015, 1_030, 997, 1_005]], 'undecided', null];
        yield 'away before the close beyond' => [[$touch, [1_005, 1_025, 980, 985]], 'held', -3];
        yield 'away on a later bar' => [[$touch, [1_005, 1_010, 993, 996], [1_000, 1_022, 999, 1_020]], 'held', -7];
    }

    public function testAZoneTurnsPriceFromItsNearEdge(): void
    {
        $bars = [...array_fill(0, 20, [950, 960, 940, 950]), [980, 1_003, 975, 985], [985, 990, 970, 975]];
        $input = Bars::input($bars);
        $reaction = Reaction::of($input->series, (new FlatShape(1_000, 1_010))->band($input), $input->atr, 20);

        self::assertSame([ReactionKind::Held, -3], [$reaction->kind, $reaction->turn]);
    }

    public function testALineIsReadByBars(): void
    {
        // edge-cases.md, T51: 48.10 rising 0.12 per bar is 48.22 next session and 48.70 in five; a weekend adds nothing
        $input = Bars::input(Bars::through(array_fill(0, 11, 4_900)));
        $dates = $input->series->session;
        $line = new SlopeShape(new Anchor($dates[0], 4_690), new Anchor($dates[10], 4_810));

        self::assertSame([[4_822, 4_822], [4_870, 4_870]], [$line->next($input), $line->ahead($input, 5)]);
        self::assertEqualsWithDelta(4_750.0, $line->band($input)->low[5], 1e-9);
    }

    public function testAChannelHasTwoEdgesAndALogarithmicLineGrowsByAFactor(): void
    {
        $input = Bars::input(Bars::through(array_fill(0, 11, 1_500)));
        $dates = $input->series->session;
        $channel = new SlopeShape(new Anchor($dates[0], 1_000), new Anchor($dates[10], 1_100), false, new Anchor($dates[5], 1_250));
        $growing = new SlopeShape(new Anchor($dates[0], 1_000), new Anchor($dates[5], 2_000), true);

        self::assertSame([1_110, 1_310], $channel->next($input));
        self::assertEqualsWithDelta(4_000.0, $growing->band($input)->low[10], 1e-6);
        self::assertNull((new SlopeShape(new Anchor($dates[3], 900), new Anchor($dates[3], 950)))->next($input), 'both points on one bar');
        self::assertNull((new SlopeShape(new Anchor($dates[0], 1_000), new Anchor($dates[10], 10)))->ahead($input, 5), 'it would lie below 0');
        self::assertNull($channel->band(Bars::input(Bars::through([1_500])))->low[0], 'its second point is not known yet');
    }

    public function testAnAverageIsJudgedByTheBarBefore(): void
    {
        $input = Bars::input(Bars::through([1_000, 1_010, 1_020, 1_030, 1_040]));
        $average = new AverageShape('sma', 3);

        self::assertSame([null, null, null, 1_010.0, 1_020.0], $average->band($input)->low);
        self::assertSame([1_030, 1_030], $average->next($input));
        self::assertNull((new AverageShape('ema', 9))->next($input));
        self::assertSame([1_027, 1_027], (new AverageShape('vwap', 0, $input->series->session[2]))->next($input), 'equal volume: the mean of typical prices');
    }

    public function testLevelsRetireByThemselves(): void
    {
        $near = array_fill(0, 60, [1_050, 1_060, 1_040, 1_050]);
        $input = Bars::input($near);
        $rule = new Retirement(40, 15.0, 20);
        $flat = static fn (int $price): Band => Band::flat($price, $price, 60);
        $broke = static fn (int $index): array => [new Touch($input->series->session[$index], 1_000, TouchKind::Broke)];

        self::assertSame(RetirementReason::Broken, $rule->reason($input, $flat(1_000), $broke(19), 5));
        self::assertNull($rule->reason($input, $flat(1_000), $broke(20), 5), '39 sessions ago');
        self::assertNull($rule->reason($input, $flat(1_000), [...$broke(5), new Touch($input->series->session[8], 1_000, TouchKind::RoleChange)], 2), 'it has a new role');
        // 15 ranges of 0.20 below the low of 10.40
        self::assertSame(RetirementReason::Far, $rule->reason($input, $flat(739), [], 5));
        self::assertNull($rule->reason($input, $flat(740), [], 5));
        self::assertNull($rule->reason($input, $flat(739), [], 45), 'marked lately');
    }

    public function testReactionsAreCountedAndAFewGiveNoRate(): void
    {
        $bars = [...array_fill(0, 20, [1_050, 1_060, 1_040, 1_050]), [1_015, 1_020, 997, 1_005], [1_010, 1_020, 1_005, 1_015]];
        $input = Bars::input($bars);
        $of = static fn (int $price): Reaction => Reaction::of($input->series, Band::flat($price, $price, 22), $input->atr, 20);
        $held = $of(1_000);
        $untouched = $of(900);
        $few = ReactionTally::of([...array_fill(0, 9, $held), $untouched]);
        $enough = ReactionTally::of(array_fill(0, 10, $held));

        self::assertSame([9, 0, 0, 1, 10, null], [$few->held, $few->broke, $few->undecided, $few->untouched, $few->all(), $few->rate]);
        self::assertEqualsWithDelta(-0.15, $few->turn, 1e-6);
        self::assertSame([1.0, 10], [$enough->rate?->share, $enough->decided()]);
        self::assertNull(ReactionTally::of([])->turn);
    }

    public function testLevelsAgreeWithinAThirdOfARange(): void
    {
        self::assertTrue(Agreement::between([1_000, 1_000], [1_035, 1_050], 100.0), 'inclusive');
        self::assertFalse(Agreement::between([1_000, 1_000], [1_036, 1_050], 100.0));
        self::assertTrue(Agreement::between([1_000, 1_100], [1_040, 1_050], 1.0), 'one lies within the other');
        self::assertTrue(Agreement::between([1_060, 1_060], [1_040, 1_050], 30.0));
    }

    /** @param array{int, bool, int}|null $doubt */
    #[DataProvider('doubts')]
    public function testAPriceOffByAFactorIsInDoubt(int $price, ?array $doubt): void
    {
        $found = PriceDoubt::of($price, 4_310, 5);

        self::assertSame($doubt, $found === null ? null : [$found->factor, $found->isTooHigh, $found->probable]);
    }

    /** @return iterable<string, array{int, array{int, bool, int}|null}> */
    public static function doubts(): iterable
    {
        yield 'as usual' => [4_500, null];
        yield 'far, but not by a factor' => [15_000, null];
        yield 'a tenth' => [433, [10, false, 4_330]];
        yield 'ten times' => [43_120, [10, true, 4_310]];
        yield 'a hundredth' => [44, [100, false, 4_400]];
        yield 'a thousand times' => [4_300_000, [1_000, true, 4_300]];
        yield 'far beyond' => [4_300_000_000, [1_000, true, 4_300_000]];
    }
}
