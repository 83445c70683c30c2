<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Setups;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

final class DraftTest extends TestCase
{
    public function testAnEntryBelowPriceIsATouchForALongAndOneAboveABreak(): void
    {
        self::assertSame(TriggerKind::Touch, Draft::blank(5)->withEntry(4000, 4200)->trigger);
        self::assertSame(TriggerKind::Break, Draft::blank(5)->withEntry(4300, 4200)->trigger);
    }

    public function testForAShortItIsTheOtherWayRound(): void
    {
        $short = Draft::blank(5)->turned(Side::Short);

        self::assertSame(TriggerKind::Break, $short->withEntry(4000, 4200)->trigger);
        self::assertSame(TriggerKind::Touch, $short->withEntry(4300, 4200)->trigger);
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

        self::assertSame([4100, null, []], [$draft->entry, $draft->stop, $draft->targets]);
    }

    public function testRiskCountsFromThePriceWithItsTolerance(): void
    {
        $draft = new Draft(Side::Short, TriggerKind::Touch, 8400, 10, false, 8600, null, [], 5);

        self::assertSame(8390, $draft->plannedEntry());
        self::assertSame(['0.00', '-1.00', '1.86'], array_map(static fn (int $price): ?string => $draft->rScale()?->at($price), [8390, 8600, 8000]));
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('wrong')]
    public function testWhatDoesNotFitIsToldAtItsField(array $changes, string $path, string $says): void
    {
        $draft = (new Draft(Side::Long, TriggerKind::Touch, 4120, 0, false, 3985, null, [], 5))->replace($changes);
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
        yield 'target below the stop, without an entry yet' => [['entry' => null, 'targets' => [new DraftTarget(3900, '1')]], 'targets.0.price', 'above the stop'];
        yield 'between two ticks' => [['stop' => 3987], 'stop.price', 'between two ticks'];
        yield 'shares of more than all' => [['targets' => [new DraftTarget(4400, '0.7'), new DraftTarget(4500, '0.5')]], 'targets.1.share', '120 %'];
        yield 'no session to be good for' => [['goodFor' => 0], 'good_for', 'at least 1'];
        yield 'a third target' => [['targets' => [new DraftTarget(4400, '0.3'), new DraftTarget(4500, '0.3'), new DraftTarget(4600, '0.3')]], 'targets.2.price', 'at most 2'];
    }

    public function testADraftWithoutProblemsIsReadByTheRules(): void
    {
        $draft = new Draft(Side::Long, TriggerKind::Break, 4310, 0, true, 3985, 3900, [new DraftTarget(4400, '0.5')], 5);
        $setup = $draft->toSetup(new PriceGrid(2), 1_000, 2_000);

        self::assertSame([], $draft->problems(new PriceGrid(2)));
        self::assertSame([[4310], 3985, 3900], [$setup->entryPrices(), $setup->stop, $setup->cancel?->price]);
    }
}
