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
use Watchpost\Core\Setups\VariantKind;

final class VariantKindTest extends TestCase
{
    private const CLOSE = 4000;

    /** @param array<string, mixed> $changes */
    private static function draft(TriggerKind $kind = TriggerKind::Break, array $changes = []): Draft
    {
        $leg = new DraftLeg($kind, $kind->hasPrice() ? 4100 : null, noChase: true, worst: 4150);

        return (new Draft(Side::Long, [$leg], 3900, [new DraftTarget(4400, '0.5'), new DraftTarget(4700, '0.5')], 5))->replace($changes);
    }

    public function testMorePatientThanABreakIsItsRetest(): void
    {
        $after = VariantKind::Patient->of(self::draft(), new PriceGrid(2), self::CLOSE);

        self::assertEquals(new DraftLeg(TriggerKind::Retest, 4100), $after->entry());
        self::assertSame(3900, $after->stop);
    }

    public function testMorePatientThanATouchWaitsHalfTheWayToTheStop(): void
    {
        $after = VariantKind::Patient->of(self::draft(TriggerKind::Touch), new PriceGrid(2, 5), self::CLOSE);

        self::assertSame([TriggerKind::Touch, 4000], [$after->entry()->kind, $after->entry()->price]);
    }

    public function testMorePatientThanTheNextOpenWaitsBelowTheClose(): void
    {
        $after = VariantKind::Patient->of(self::draft(TriggerKind::Market), new PriceGrid(2), self::CLOSE);

        self::assertSame([TriggerKind::Touch, 3950], [$after->entry()->kind, $after->entry()->price]);
    }

    public function testALongerHoldHasTargetsTwiceAsFarAndTwiceTheSessions(): void
    {
        $after = VariantKind::Longer->of(self::draft(changes: ['timeStop' => 4]), new PriceGrid(2), self::CLOSE);

        self::assertSame([[4700, 5300], 8, 3900], [$after->targetPrices(), $after->timeStop, $after->stop]);
    }

    public function testTheOtherSideBeginsAtTheStopAndIsWrongAtTheEntry(): void
    {
        $after = VariantKind::OtherSide->of(self::draft(changes: [
            'cancel' => 3800,
            'conditions' => [['kind' => 'gap_max_percent', 'value' => '3'], ['kind' => 'average_above', 'type' => 'sma', 'period' => 20]],
            'stopMoves' => [
                ['after' => ['kind' => 'target', 'number' => 1], 'to' => ['kind' => 'entry']],
                ['after' => ['kind' => 'r', 'value' => '1'], 'to' => ['kind' => 'price', 'price' => '41.50']],
            ],
        ]), new PriceGrid(2), self::CLOSE);

        self::assertSame(Side::Short, $after->side);
        self::assertEquals(new DraftLeg(TriggerKind::Break, 3900, noChase: true), $after->entry());
        self::assertSame([4100, null, [3600, 3300]], [$after->stop, $after->cancel, $after->targetPrices()]);
        self::assertSame(['gap_max_percent'], array_column($after->conditions, 'kind'), 'what speaks of one side says nothing for the other');
        self::assertSame([['kind' => 'entry']], array_column($after->stopMoves, 'to'));
    }

    /** A target of a cheap instrument may have no mirror above 0. */
    public function testTargetsThatWouldBeNoPricesAreLeftOut(): void
    {
        $after = VariantKind::OtherSide->of(self::draft(changes: ['targets' => [new DraftTarget(4400, '0.5'), new DraftTarget(9000, '0.5')]]), new PriceGrid(2), self::CLOSE);

        self::assertSame([3600], $after->targetPrices());
    }

    #[DataProvider('kinds')]
    public function testAVariantIsAcceptedByTheRules(VariantKind $kind, TriggerKind $trigger): void
    {
        $after = $kind->of(self::draft($trigger), new PriceGrid(2), self::CLOSE);

        self::assertSame([], $after->problems(new PriceGrid(2)));
    }

    /** @return iterable<string, array{VariantKind, TriggerKind}> */
    public static function kinds(): iterable
    {
        foreach (VariantKind::cases() as $kind) {
            foreach ([TriggerKind::Touch, TriggerKind::Break, TriggerKind::CloseBeyond, TriggerKind::Retest, TriggerKind::Overshoot, TriggerKind::Market, TriggerKind::Open] as $trigger) {
                yield "{$kind->value} of {$trigger->value}" => [$kind, $trigger];
            }
        }
    }

    public function testWhatIsNotCompleteHasNoVariants(): void
    {
        $this->expectException(\LogicException::class);
        VariantKind::Longer->of(self::draft(changes: ['stop' => null]), new PriceGrid(2), self::CLOSE);
    }
}
