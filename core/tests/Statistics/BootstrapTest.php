<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Statistics;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Statistics\Bootstrap;
use Watchpost\Core\Statistics\Losses;

final class BootstrapTest extends TestCase
{
    public function testTheIntervalHoldsTheMeanAndNarrowsWithMoreCases(): void
    {
        $few = Bootstrap::mean([...array_fill(0, 10, -1.0), ...array_fill(0, 10, 2.0)]);
        $many = Bootstrap::mean([...array_fill(0, 200, -1.0), ...array_fill(0, 200, 2.0)]);

        self::assertNotNull($few);
        self::assertNotNull($many);
        self::assertSame([0.5, 0.5], [$few->mean, $many->mean]);
        self::assertTrue($few->low < $many->low && $many->low < 0.5 && 0.5 < $many->high && $many->high < $few->high);
        // 1.645 standard errors of 1.5 / sqrt(400)
        self::assertEqualsWithDelta(0.123, 0.5 - $many->low, 0.02);
    }

    public function testTheSameValuesGiveTheSameIntervalAndOneValueItself(): void
    {
        self::assertEquals(Bootstrap::mean([1.0, -1.0, 3.0]), Bootstrap::mean([1.0, -1.0, 3.0]));
        $one = Bootstrap::mean([0.7]);
        self::assertSame([1, 0.7, 0.7, 0.7], [$one?->cases, $one?->mean, $one?->low, $one?->high]);
        self::assertNull(Bootstrap::mean([]));
    }

    public function testLossesAreCountedInARowAndTheFallFromTheHighestPoint(): void
    {
        $losses = Losses::of([1.0, -1.0, -0.5, 2.0, -1.0, 0.0, -1.0, -1.0, -1.0]);

        self::assertSame([3, -4.0], [$losses->longest, $losses->greatest]);
        self::assertSame([0, 0.0], [Losses::of([])->longest, Losses::of([])->greatest]);
    }
}
