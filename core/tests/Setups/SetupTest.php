<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Setups;

use Brick\Math\BigDecimal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Setups\BarOpen;
use Watchpost\Core\Setups\BreakTrigger;
use Watchpost\Core\Setups\Leg;
use Watchpost\Core\Setups\OpenVerdict;
use Watchpost\Core\Setups\RScale;
use Watchpost\Core\Setups\RStrip;
use Watchpost\Core\Setups\Setup;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\Target;
use Watchpost\Core\Setups\TouchTrigger;
use Watchpost\Core\Setups\Trigger;
use Watchpost\Core\Setups\TriggerMemory;
use Watchpost\Core\Tests\Outcomes\Scenario;

final class SetupTest extends TestCase
{
    public function testPlannedRiskCountsFromThePriceWithItsToleranceOnBothSides(): void
    {
        $long = self::planned(Side::Long, new TouchTrigger(4120, 5), 3985);
        $short = self::planned(Side::Short, new TouchTrigger(8400, 10), 8600);

        self::assertSame([[4125], '140.0'], [$long->entryPrices(), (string) $long->plannedRisk()]);
        self::assertSame([[8390], '210.0'], [$short->entryPrices(), (string) $short->plannedRisk()]);
    }

    public function testAShortIsTheLongOnNegatedPrices(): void
    {
        $long = self::planned(Side::Short, new BreakTrigger(8000, true), 8250, [7600, 7200])->asLong();

        self::assertSame([Side::Long, -8250, [-7600, -7200]], [$long->side, $long->stop, array_map(static fn (Target $t): int => $t->price, $long->targets)]);
        self::assertEquals(new BreakTrigger(-8000, true), $long->legs[0]->trigger);
        self::assertSame($long, $long->asLong());
    }

    #[DataProvider('opens')]
    public function testWhatAnOpenMeansToATrigger(Trigger $trigger, int $open, OpenVerdict $expected): void
    {
        self::assertSame($expected, $trigger->atOpen(new BarOpen($open, null, false), new TriggerMemory()));
    }

    /** @return iterable<array{Trigger, int, OpenVerdict}> */
    public static function opens(): iterable
    {
        yield [new TouchTrigger(4120, 5), 4126, OpenVerdict::NotReached];
        yield [new TouchTrigger(4120, 5), 4125, OpenVerdict::Fills];
        yield [new TouchTrigger(4120, 5), 4000, OpenVerdict::Fills];
        yield [new BreakTrigger(5800), 5799, OpenVerdict::NotReached];
        yield [new BreakTrigger(5800), 5800, OpenVerdict::Fills];
        yield [new BreakTrigger(5800), 6000, OpenVerdict::Fills];
        yield [new BreakTrigger(5800, true), 5800, OpenVerdict::Fills];
        yield [new BreakTrigger(5800, true), 5801, OpenVerdict::KeptOut];
    }

    public function testMissedByIsTheDistanceToTheFillAndNeverBelowNothing(): void
    {
        $bar = new Bar(0, 1, '2026-10-15', 4200, 4260, 4150, 4210, 0);

        self::assertSame([25, 0], [(new TouchTrigger(4120, 5))->missedBy($bar, null, false), (new TouchTrigger(4200))->missedBy($bar, null, false)]);
        self::assertSame([40, 0], [(new BreakTrigger(4300))->missedBy($bar, null, false), (new BreakTrigger(4200, true))->missedBy($bar, null, false)]);
    }

    public function testASetupKnowsWhetherAnOpenWouldFillIt(): void
    {
        self::assertTrue(self::planned(Side::Short, new TouchTrigger(8400), 8600)->wouldFillAt(8410));
        self::assertFalse(self::planned(Side::Short, new TouchTrigger(8400), 8600)->wouldFillAt(8390));
        self::assertFalse(self::planned(Side::Long, new BreakTrigger(8400, true), 8200)->wouldFillAt(8410));
    }

    public function testPricesAreToldInRForBothSides(): void
    {
        $short = new RScale(8400, 8600);

        self::assertSame(['0.00', '-1.00', '2.00', '-1.55', '0.335'], [$short->at(8400), $short->at(8600), $short->at(8000), $short->at(8710), $short->at(8333, 3)]);
        self::assertSame(200, $short->risk());
    }

    public function testARiskOfNothingHasNoScale(): void
    {
        $this->expectException(\InvalidArgumentException::class);
        new RScale(8400, 8400);
    }

    public function testTheStripOfAFilledSetupCountsFromTheFill(): void
    {
        // planned at 33.50, filled at 32.85 by a gap in favour: best and worst are told from there
        $scenario = Scenario::touch('long', '33.40', '31.90', '0.10')->targets(['36.70' => '1'])->day('32.85/33.65/32.53/33.00');
        $setup = self::planned(Side::Long, new TouchTrigger(3340, 10), 3190, [3670]);
        $strip = RStrip::followed($setup, $scenario->outcome(), 3285, 3300);

        self::assertSame(['-0.41', '-0.31', '2.00', '1'], [$strip->fill, $strip->now, $strip->targets[0], $strip->filled]);
        self::assertSame(['0.09', '-0.61'], [$strip->best, $strip->worst]);
    }

    public function testTheStripOfAPlanHasNoSpan(): void
    {
        $strip = RStrip::planned(Side::Short, new RScale(8400, 8600), [8000, 7600], 8300);

        self::assertSame([['2.00', '4.00'], '0.50', null, null, '0'], [$strip->targets, $strip->now, $strip->best, $strip->worst, $strip->filled]);
    }

    /** @param list<int> $targets */
    private static function planned(Side $side, Trigger $trigger, int $stop, array $targets = []): Setup
    {
        return new Setup(
            $side,
            0,
            1,
            [new Leg('entry', BigDecimal::of('1.0'), $trigger)],
            $stop,
            array_map(static fn (int $price): Target => new Target($price, BigDecimal::of('0.5')), $targets),
            null,
        );
    }
}
