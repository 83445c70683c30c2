<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Rehearsal;

use PHPUnit\Framework\TestCase;
use Watchpost\Core\Outcomes\OutcomeStatus;
use Watchpost\Core\Rehearsal\RehearsedCase;
use Watchpost\Core\Rehearsal\Tally;

final class TallyTest extends TestCase
{
    private static function case(int $day, ?string $r, bool $ended = true): RehearsedCase
    {
        $date = gmdate('Y-m-d', 1_700_000_000 + $day * 86_400);

        return new RehearsedCase('BRKF.Q', $date, 1000, $r === null ? OutcomeStatus::NotTriggered : ($ended ? OutcomeStatus::Closed : OutcomeStatus::Open), $r, (float) $r > 0, false, $r === null ? null : $date, $ended ? $date : null);
    }

    public function testFewerThanTwentyGiveNoRate(): void
    {
        $tally = new Tally(array_map(static fn (int $i): RehearsedCase => self::case($i, '1.0000'), range(1, 19)));

        self::assertTrue($tally->isTooFew());
        self::assertSame([null, null, null], [$tally->reached, $tally->mean, $tally->losses]);
        self::assertCount(19, $tally->results, 'they can still be looked at');
    }

    public function testOnlyWhatWasFilledAndIsAtItsEndCounts(): void
    {
        $cases = array_map(static fn (int $i): RehearsedCase => self::case($i, $i % 4 === 0 ? '2.0000' : '-1.0000'), range(1, 20));
        $tally = new Tally([...$cases, self::case(30, null), self::case(31, '9.0000', ended: false)]);

        self::assertSame([22, 21, 20], [$tally->cases, $tally->filled, $tally->ended]);
        self::assertSame([5, 20, 0.25], [$tally->reached?->hits, $tally->reached?->cases, $tally->reached?->share]);
        self::assertSame(-0.25, $tally->mean?->mean);
        self::assertSame(3, $tally->losses?->longest);
    }

    public function testTheWorstRunGoesByTheOrderOfTheirEnds(): void
    {
        $results = [...array_fill(0, 10, '1.0000'), ...array_fill(0, 4, '-1.0000'), ...array_fill(0, 6, '1.0000')];
        $cases = array_map(static fn (string $r, int $day): RehearsedCase => self::case($day, $r), $results, array_keys($results));
        shuffle($cases);
        $tally = new Tally($cases);

        self::assertSame([4, -4.0], [$tally->losses?->longest, $tally->losses?->greatest]);
    }
}
