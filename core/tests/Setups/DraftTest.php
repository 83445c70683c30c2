<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Setups;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

final class DraftTest extends TestCase
{
    public function testAnEntryBelowPriceIsATouchForALongAndOneAboveABreak(): void
    {
        self::assertSame(TriggerKind::Touch, Draft::blank(5)->withEntry(4000, 4200)->entry()->kind);
        self::assertSame(TriggerKind::Break, Draft::blank(5)->withEntry(4300, 4200)->entry()->kind);
    }

    public function testForAShortItIsTheOtherWayRound(): void
    {
        $short = Draft::blank(5)->turned(Side::Short);

        self::assertSame(TriggerKind::Break, $short->withEntry(4000, 4200)->entry()->kind);
        self::assertSame(TriggerKind::Touch, $short->withEntry(4300, 4200)->entry()->kind);
    }

    public function testAStopSetFirstDecidesTheSide(): void
    {
        self::assertSame(Side::Short, Draft::blank(5)->withStop(4300, 4200)->side);
        self::assertSame(Side::Long, Draft::blank(5)->withStop(4000, 4200)->side);
        self::assertSame(Side::Long, Draft::blank(5)->withEntry(4400, 4200)->withStop(4300, 4200)->side);
    }

    public function testTargetsFallIntoOrderAndShareEqually(): void
    {
        $draft = Draft::blank(5)->withTarget(4600)->withTarget(4400);

        self::assertEquals([new DraftTarget(4400, '0.5'), new DraftTarget(4600, '0.5')], $draft->targets);
        self::assertEquals([new DraftTarget(4400, '1')], Draft::blank(5)->withTarget(4400)->targets);
    }

    public function testTurningTheSideTakesAwayWhatNoLongerFits(): void
    {
        $draft = Draft::blank(5)->withEntry(4100, 4200)->withStop(4000, 4200)->withTarget(4400)->turned(Side::Short);

        self::assertSame([4100, null, []], [$draft->entry()->price, $draft->stop, $draft->targets]);
    }

    public function testRiskCountsFromThePriceWithItsTolerance(): void
    {
        $draft = new Draft(Side::Short, [new DraftLeg(TriggerKind::Touch, 8400, 10)], 8600, [], 5);

        self::assertSame(8390, $draft->plannedEntry());
        self::assertSame(['0.00', '-1.00', '1.86'], array_map(static fn (int $price): ?string => $draft->rScale()?->at($price), [8390, 8600, 8000]));
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('wrong')]
    public function testWhatDoesNotFitIsToldAtItsField(array $changes, string $path, string $says): void
    {
        $draft = (new Draft(Side::Long, [new DraftLeg(TriggerKind::Touch, 4120)], 3985, [], 5))->replace($changes);
        $problems = $draft->problems(new PriceGrid(2, 5));

        self::assertNotEmpty($problems);
        self::assertSame($path, $problems[0]->path);
        self::assertStringContainsString($says, $problems[0]->message);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'stop above a long entry' => [['stop' => 4150], 'stop.price', 'The stop 41.50 must be below the entry at 41.20.'];
        yield 'stop below a short entry' => [['side' => Side::Short], 'stop.price', 'above the entry'];
        yield 'target below a long entry' => [['targets' => [new DraftTarget(4000, '1')]], 'targets.0.price', 'above the entry'];
        yield 'targets out of order' => [['targets' => [new DraftTarget(4500, '0.5'), new DraftTarget(4400, '0.5')]], 'targets.1.price', 'above target 1'];
        yield 'target below the stop, without an entry yet' => [['legs' => [new DraftLeg()], 'targets' => [new DraftTarget(3900, '1')]], 'targets.0.price', 'above the stop'];
        yield 'between two ticks' => [['stop' => 3987], 'stop.price', 'between two ticks'];
        yield 'shares of more than all' => [['targets' => [new DraftTarget(4400, '0.7'), new DraftTarget(4500, '0.5')]], 'targets.1.share', '120 %'];
        yield 'no session to be good for' => [['goodFor' => 0], 'good_for', 'at least 1'];
        yield 'a sixth target' => [['targets' => array_map(static fn (int $i): DraftTarget => new DraftTarget(4400 + 100 * $i, '0.1'), range(0, 5))], 'targets.5.price', 'at most 5'];
        yield 'parts of an entry that are not all' => [['legs' => [new DraftLeg(TriggerKind::Touch, 4120, share: '0.5')]], 'legs.0.share', '50 %'];
        yield 'two parts of one name' => [['legs' => [new DraftLeg(TriggerKind::Touch, 4120, share: '0.5'), new DraftLeg(TriggerKind::Touch, 4100, share: '0.5')]], 'legs.1.name', 'already'];
        yield 'a part that needs one that is not there' => [['legs' => [new DraftLeg(TriggerKind::Touch, 4120, needs: 'starter')]], 'entry.needs', 'earlier leg'];
        yield 'a condition that cannot be read' => [['conditions' => [['kind' => 'gap_max_percent', 'value' => 'much']]], 'conditions.0.value', 'decimal'];
        yield 'a condition that comes too late for a touch' => [['conditions' => [['kind' => 'close_place_min', 'value' => '0.7']]], 'conditions.0.kind', 'cannot know it in time'];
        yield 'a move after a target that is not there' => [['stopMoves' => [['after' => ['kind' => 'target', 'number' => 1], 'to' => ['kind' => 'entry']]]], 'stop_moves.0.after.number', 'no target'];
        yield 'a gap that is no number' => [['openExit' => ['session' => 2, 'gap_min_percent' => 'up']], 'open_exit.gap_min_percent', 'decimal'];
    }

    public function testADraftWithoutProblemsIsReadByTheRules(): void
    {
        $draft = new Draft(Side::Long, [new DraftLeg(TriggerKind::Break, 4310, noChase: true)], 3985, [new DraftTarget(4400, '0.5')], 5, 3900);
        $setup = $draft->toSetup(new PriceGrid(2), 1_000, 2_000);

        self::assertSame([], $draft->problems(new PriceGrid(2)));
        self::assertSame([[4310], 3985, 3900], [$setup->entryPrices(), $setup->stop, $setup->cancel?->price]);
    }
}
