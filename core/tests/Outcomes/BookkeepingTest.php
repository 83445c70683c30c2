<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Outcomes\BarTrace;
use Watchpost\Core\Outcomes\Costs;
use Watchpost\Core\Outcomes\Excursion;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeReader;
use Watchpost\Core\Outcomes\Position;

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
        self::assertNull((new BarTrace(new Bar(0, 1, '2026-10-15', 100, 120, 80, 100, 0)))->seen());
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
