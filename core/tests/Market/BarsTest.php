<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Market;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\BarReader;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;

final class BarsTest extends TestCase
{
    #[DataProvider('ends')]
    public function testWhenABarEnds(string $timeFrame, string $start, string $expected, bool $listed): void
    {
        $half = new Session('2026-12-24', (int) strtotime('2026-12-24T09:30:00Z'), (int) strtotime('2026-12-24T13:00:00Z'));
        $book = new SessionBook($listed ? [$half] : []);

        self::assertSame($expected, Instant::format($book->barEnd(TimeFrame::from($timeFrame), (int) strtotime($start), '2026-12-24')));
    }

    /** @return iterable<string, array{string, string, string, bool}> */
    public static function ends(): iterable
    {
        yield 'five minutes' => ['5m', '2026-12-24T09:30:00Z', '2026-12-24T09:35:00Z', true];
        yield 'the last hour of a half day is short' => ['1h', '2026-12-24T12:30:00Z', '2026-12-24T13:00:00Z', true];
        yield 'four hours do not go past the close' => ['4h', '2026-12-24T09:30:00Z', '2026-12-24T13:00:00Z', true];
        yield 'a day ends with its session' => ['1d', '2026-12-24T09:30:00Z', '2026-12-24T13:00:00Z', true];
        yield 'a session that is not listed has 390 minutes' => ['1d', '2026-12-24T09:30:00Z', '2026-12-24T16:00:00Z', false];
    }

    public function testASessionThatIsNotListedOpensWithItsFirstBar(): void
    {
        $rows = [
            ['2026-10-15T08:30:00Z', '2026-10-15', '1.00', '1.10', '0.90', '1.05', 0],
            ['2026-10-15T14:30:00Z', '2026-10-15', '1.05', '1.10', '0.90', '1.05', 0],
        ];
        $bars = (new BarReader(new PriceGrid(2), TimeFrame::Hour, new SessionBook()))->read(Node::parse(json_encode($rows, JSON_THROW_ON_ERROR)));

        self::assertSame(['2026-10-15T09:30:00Z', '2026-10-15T15:00:00Z'], array_map(static fn (Bar $bar): string => Instant::format($bar->end), $bars));
    }

    public function testFinerMeansShorter(): void
    {
        self::assertTrue(TimeFrame::FiveMinutes->isFinerThan(TimeFrame::Day));
        self::assertFalse(TimeFrame::Day->isFinerThan(TimeFrame::Day));
        self::assertFalse(TimeFrame::Quarter->isFinerThan(TimeFrame::Week));
    }

    public function testAMirroredBarIsItsOwnMirrorsMirror(): void
    {
        $bar = new Bar(1, 2, '2026-10-15', 100, 120, 90, 110, 5);

        self::assertSame([-100, -90, -120, -110], [$bar->mirrored()->open, $bar->mirrored()->high, $bar->mirrored()->low, $bar->mirrored()->close]);
        self::assertEquals($bar, $bar->mirrored()->mirrored());
    }

    public function testASeriesGivesItsPricesInCurrency(): void
    {
        $series = new Series(new PriceGrid(4), TimeFrame::Day, [1], ['2026-10-15'], [213], [220], [210], [215], [7]);

        self::assertSame([[0.0215], [0.022], [0.021], 215], [$series->closes(), $series->highs(), $series->lows(), $series->lastClose()]);
        self::assertNull((new Series(new PriceGrid(2), TimeFrame::Day, [], [], [], [], [], [], []))->lastClose());
    }
}
