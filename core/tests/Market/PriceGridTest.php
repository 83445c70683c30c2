<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Market;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\PriceGrid;

final class PriceGridTest extends TestCase
{
    #[DataProvider('prices')]
    public function testPricesOfEveryScaleAreExact(int $decimals, string $price, int $units): void
    {
        $grid = new PriceGrid($decimals);

        self::assertSame($units, $grid->units($price));
        self::assertSame($price, $grid->format($units));
    }

    /** @return iterable<array{int, string, int}> */
    public static function prices(): iterable
    {
        yield [4, '0.0137', 137];
        yield [4, '0.6421', 6421];
        yield [2, '8.35', 835];
        yield [2, '212.40', 21240];
        yield [0, '98450', 98450];
        yield [6, '0.000001', 1];
    }

    public function testMoreDecimalsThanTheInstrumentHasAreNoPrice(): void
    {
        self::assertNull((new PriceGrid(2))->units('41.205'));
        self::assertSame(4120, (new PriceGrid(2))->units('41.200'));
        self::assertNull((new PriceGrid(2))->units('99999999999999999999'));
    }

    public function testTheTickIsTheStepOfTradablePrices(): void
    {
        $grid = new PriceGrid(2, 5);

        self::assertTrue($grid->onTick(8405));
        self::assertFalse($grid->onTick(8403));
        self::assertSame([8405, 8405, 8400], [$grid->nearestTick(8403.0), $grid->nearestTick(8402.5), $grid->nearestTick(8402.4)]);
    }
}
