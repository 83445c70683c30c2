<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Setups;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\RelativeDraft;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\StopPlace;
use Watchpost\Core\Setups\Template;
use Watchpost\Core\Setups\TriggerKind;

final class TemplateTest extends TestCase
{
    private const GRID_DECIMALS = 2;

    /** A long at 50.00 with an ATR of 1.00: stop 1 ATR below, the first target at a level, the second 3 ATR away. */
    private static function template(): Template
    {
        $draft = (new Draft(Side::Long, [new DraftLeg(TriggerKind::Touch, 5000, 10)], 4900, [new DraftTarget(5205, '0.5'), new DraftTarget(5300, '0.5')], 7))->replace([
            'conditions' => [['kind' => 'average_above', 'type' => 'sma', 'period' => 50], ['kind' => 'gap_max_percent', 'value' => '3']],
            'timeStop' => 12,
        ]);

        return Template::of(new RelativeDraft($draft, new PriceGrid(self::GRID_DECIMALS), 5000, 100.0), [4700, 5100, 5200], StopPlace::Swing);
    }

    public function testATargetAtALevelIsHeldAsThatLevel(): void
    {
        self::assertSame([2, null], self::template()->targetsAt, 'the second level beyond the entry, and none');
    }

    public function testItIsPutAtAnotherLevelWithTheLevelsThere(): void
    {
        $put = self::template()->put(new PriceGrid(self::GRID_DECIMALS), 2000, 50.0, Side::Long, [1900, 2030, 2080, 2900]);

        self::assertSame([2000, 5, 1950], [$put->entry()->price, $put->entry()->within, $put->stop]);
        self::assertSame([2080, 2150], $put->targetPrices());
        self::assertSame([7, 12], [$put->goodFor, $put->timeStop]);
    }

    public function testWhereALevelIsMissingTheDistanceCounts(): void
    {
        $put = self::template()->put(new PriceGrid(self::GRID_DECIMALS), 2000, 50.0, Side::Long, [1900]);

        self::assertSame([2103, 2150], $put->targetPrices());
    }

    public function testTargetsThatWouldLieOutOfOrderAreAllPutByDistance(): void
    {
        $put = self::template()->put(new PriceGrid(self::GRID_DECIMALS), 2000, 50.0, Side::Long, [2050, 2400]);

        self::assertSame([2103, 2150], $put->targetPrices());
    }

    public function testOnTheOtherSideItIsMirrored(): void
    {
        $put = self::template()->put(new PriceGrid(self::GRID_DECIMALS), 2000, 50.0, Side::Short, [1900, 1800]);

        self::assertSame([Side::Short, 2000, 2050], [$put->side, $put->entry()->price, $put->stop]);
        self::assertSame([], $put->problems(new PriceGrid(self::GRID_DECIMALS)));
        self::assertSame(['average_below', 'gap_max_percent'], array_column($put->conditions, 'kind'));
    }

    public function testItIsKeptAsPlainData(): void
    {
        $state = json_decode(json_encode(self::template()->toState(), JSON_THROW_ON_ERROR), true);

        self::assertIsArray($state);
        self::assertEquals(self::template(), Template::fromState($state));
    }
}
