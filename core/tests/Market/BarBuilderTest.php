<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Market;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;

final class BarBuilderTest extends TestCase
{
    #[DataProvider('sessions')]
    public function testASessionIsCutFromItsOpenAndItsLastBarMayBeShort(string $timeFrame, int $count, string $lastStart, string $lastEnd): void
    {
        $built = $this->builder()->build($this->session('2026-10-15', 78), TimeFrame::from($timeFrame));
        $last = $built[count($built) - 1];

        self::assertCount($count, $built);
        self::assertSame([$lastStart, $lastEnd], [Instant::format($last->start), Instant::format($last->end)]);
        self::assertSame([1000, 1077], [$built[0]->open, $last->close]);
        self::assertSame(78 * 10, array_sum(array_map(static fn (Bar $bar): int => $bar->volume, $built)));
    }

    /** @return iterable<string, array{string, int, string, string}> */
    public static function sessions(): iterable
    {
        yield '5m' => ['5m', 78, '2026-10-15T14:55:00Z', '2026-10-15T15:00:00Z'];
        yield '30m' => ['30m', 13, '2026-10-15T14:30:00Z', '2026-10-15T15:00:00Z'];
        yield '1h: seven bars, the last of 30 minutes' => ['1h', 7, '2026-10-15T14:30:00Z', '2026-10-15T15:00:00Z'];
        yield '4h: two bars' => ['4h', 2, '2026-10-15T12:30:00Z', '2026-10-15T15:00:00Z'];
        yield '1d' => ['1d', 1, '2026-10-15T08:30:00Z', '2026-10-15T15:00:00Z'];
    }

    public function testABarHoldsTheExtremesOfWhatIsThere(): void
    {
        $bars = $this->session('2026-10-15', 78);
        unset($bars[0], $bars[3]); // missing bars stay missing
        $built = $this->builder()->build(array_values($bars), TimeFrame::ThirtyMinutes);

        self::assertSame([1001, 1010, 996, 1005, 40], [$built[0]->open, $built[0]->high, $built[0]->low, $built[0]->close, $built[0]->volume]);
        self::assertSame('2026-10-15T08:30:00Z', Instant::format($built[0]->start));
    }

    /** @param list<string> $firsts */
    #[DataProvider('periods')]
    public function testDaysAreJoinedByTheCalendar(string $timeFrame, array $firsts): void
    {
        $days = [];
        foreach (['2026-12-28', '2026-12-30', '2026-12-31', '2027-01-04', '2027-01-29', '2027-02-01', '2027-04-01'] as $i => $date) {
            $days[] = new Bar((int) strtotime("{$date}T09:30:00Z"), (int) strtotime("{$date}T16:00:00Z"), $date, 100 + $i, 110 + $i, 90 - $i, 105 + $i, 1);
        }
        $built = $this->builder()->build($days, TimeFrame::from($timeFrame));

        self::assertSame($firsts, array_map(static fn (Bar $bar): string => $bar->session, $built));
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function periods(): iterable
    {
        yield 'the ISO week runs over the new year' => ['1w', ['2026-12-28', '2027-01-04', '2027-01-29', '2027-02-01', '2027-04-01']];
        yield 'months' => ['1mo', ['2026-12-28', '2027-01-04', '2027-02-01', '2027-04-01']];
        yield 'quarters' => ['3mo', ['2026-12-28', '2027-01-04', '2027-04-01']];
    }

    public function testNothingGivesNothing(): void
    {
        self::assertSame([], $this->builder()->build([], TimeFrame::Week));
    }

    private function builder(): BarBuilder
    {
        return new BarBuilder(new SessionBook([new Session('2026-10-15', (int) strtotime('2026-10-15T08:30:00Z'), (int) strtotime('2026-10-15T15:00:00Z'))]));
    }

    /** @return array<int, Bar> bars of five minutes that rise by one each */
    private function session(string $date, int $count): array
    {
        $open = (int) strtotime("{$date}T08:30:00Z");

        return array_map(static fn (int $i): Bar => new Bar($open + 300 * $i, $open + 300 * ($i + 1), $date, 1000 + $i, 1005 + $i, 995 + $i, 1000 + $i, 10), range(0, $count - 1));
    }
}
