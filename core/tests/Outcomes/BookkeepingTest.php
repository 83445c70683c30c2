<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Outcomes\Costs;
use Watchpost\Core\Outcomes\Excursion;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeReader;
use Watchpost\Core\Outcomes\Position;
use Watchpost\Core\Outcomes\RunStore;
use Watchpost\Core\Setups\UpdateReader;

/** The exact sums below the engine. */
final class BookkeepingTest extends TestCase
{
    public function testTheAverageIsWeightedByShareAndExitsDoNotChangeIt(): void
    {
        $position = new Position();
        $position->fill(BigDecimal::of('0.4'), 4125, BigDecimal::zero());
        $position->fill(BigDecimal::of('0.6'), 4310, BigDecimal::zero());
        $position->exit(BigDecimal::of('0.5'), 4400, BigDecimal::zero());

        self::assertTrue($position->averageFill()->isEqualTo('4236'));
        self::assertTrue($position->profit->isEqualTo('82'));
        self::assertTrue($position->openGainAt(4300)->isEqualTo('32'));
        self::assertSame(['1.0', '0.5'], [(string) $position->filled, (string) $position->open]);
    }

    public function testThirdsStayExact(): void
    {
        $position = new Position();
        $position->fill(BigDecimal::of('0.3'), 100, BigDecimal::zero());
        $position->fill(BigDecimal::of('0.6'), 101, BigDecimal::zero());
        $position->exit(BigDecimal::of('0.9'), 101, BigDecimal::zero());

        self::assertTrue($position->averageFill()->isEqualTo(BigRational::of('302/3')));
        self::assertTrue($position->profit->isEqualTo('0.3'));
        self::assertTrue(Position::fromState($position->toState())->averageFill()->isEqualTo(BigRational::of('302/3')));
    }

    public function testAnExcursionIsMeasuredAgainstTheAverageOfItsMoment(): void
    {
        $excursion = new Excursion();
        $excursion->see(110, 95);
        $excursion->settle(BigRational::of(100)); // a second fill raises the average
        $excursion->see(112, 99);

        self::assertTrue($excursion->gainAgainst(BigRational::of(104))->isEqualTo(10));
        self::assertTrue($excursion->lossAgainst(BigRational::of(104))->isEqualTo(-5));
        self::assertTrue(Excursion::fromState($excursion->toState())->gainAgainst(BigRational::of(104))->isEqualTo(10));
    }

    public function testWithoutAPositionABarIsNotMeasured(): void
    {
        $request = OutcomeReader::read(Node::of(Scenario::touch('long', '26.00', '25.20')->costs(0, '0')->day('26.60/26.80/26.20/26.30')->input()));
        $run = $request->runs()[0];
        (new OutcomeEngine())->feed($run, $request->bars[0]);
        $run->measure();

        self::assertNull($run->excursion->peak());
        self::assertNull($run->best());
    }

    public function testCostsAreToldPerUnitOfTheGrid(): void
    {
        $costs = new Costs(2, BigDecimal::of('0.005'));

        self::assertSame('10.500', (string) $costs->perUnit(new PriceGrid(2, 5), true)->toScale(3));
        self::assertSame('0.500', (string) $costs->perUnit(new PriceGrid(2, 5), false)->toScale(3));
    }

    public function testBarsMustComeInOrderAndOnce(): void
    {
        $input = Scenario::touch('long', '26.00', '25.20')->day('26.00/26.30/25.90/26.10')->input();
        unset($input['costs']);
        $request = OutcomeReader::read(Node::of($input));
        $run = $request->runs()[0];
        $engine = new OutcomeEngine();
        $engine->feed($run, $request->bars[0]);

        $this->expectException(\LogicException::class);
        $engine->feed($run, $request->bars[0]);
    }

    /** @param array<string, mixed> $update */
    #[DataProvider('tried')]
    public function testAnUpdateIsTriedOnARunThatIsLeftAsItIs(bool $filled, array $update, ?string $refused): void
    {
        $grid = new PriceGrid(2);
        $input = Scenario::touch('long', '26.00', '25.00')->targets(['28.00' => '0.5', '29.00' => '0.5'])->costs(0, '0')->day($filled ? '26.20/26.50/25.90/26.30' : '26.90/27.00/26.50/26.80')->input();
        $request = OutcomeReader::read(Node::of($input));
        $run = $request->runs()[0];
        $engine = new OutcomeEngine();
        $engine->feed($run, $request->bars[0]);
        $before = RunStore::save($run);
        try {
            $engine->try($run, UpdateReader::one(Node::of(['at' => '2026-10-15T16:00:00Z'] + $update, 'updates.new'), $grid));
            $said = null;
        } catch (InvalidInput $fault) {
            $said = "{$fault->path} {$fault->getMessage()}";
        }

        self::assertSame($refused === null, $said === null, (string) $said);
        self::assertStringContainsString((string) $refused, (string) $said);
        self::assertSame($before, RunStore::save($run));
    }

    /** @return iterable<string, array{bool, array<string, mixed>, string|null}> */
    public static function tried(): iterable
    {
        yield 'a tighter stop' => [true, ['kind' => 'move_stop', 'price' => '25.60'], null];
        yield 'a looser stop' => [true, ['kind' => 'move_stop', 'price' => '24.90'], 'updates.new.price would loosen the stop, which stands at 25.00'];
        yield 'a stop beyond an entry that waits' => [false, ['kind' => 'move_stop', 'price' => '26.10'], 'updates.new.price must be on the losing side of the entry at 26.00'];
        yield 'another target' => [true, ['kind' => 'move_target', 'number' => 1, 'price' => '27.50'], null];
        yield 'a target beyond the next' => [true, ['kind' => 'move_target', 'number' => 1, 'price' => '29.50'], 'updates.new.price must lie beyond 29.50'];
        yield 'a part of what is open' => [true, ['kind' => 'exit', 'share' => '0.5'], null];
        yield 'a part of nothing' => [false, ['kind' => 'exit', 'share' => '0.5'], 'updates.new.kind has nothing to take off'];
        yield 'a wait that is there' => [false, ['kind' => 'cancel_waiting'], null];
        yield 'a wait that is over' => [true, ['kind' => 'cancel_waiting'], 'updates.new.kind has nothing to cancel'];
        yield 'a note' => [false, ['kind' => 'note', 'text' => 'still waiting'], null];
    }

    public function testAskingForTheOutcomeLeavesTheRunAsItIs(): void
    {
        $input = Scenario::touch('long', '26.00', '25.20')->day('26.50/26.80/26.30/26.60')->input();
        unset($input['costs']);
        $request = OutcomeReader::read(Node::of($input));
        $run = $request->runs()[0];
        $late = (new OutcomeEngine())->outcome($run, $request->asOf);

        self::assertSame('not_triggered', $late->status->value);
        self::assertTrue($run->isWaiting());
        self::assertSame([], $run->events);
    }
}
