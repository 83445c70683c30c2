<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Rehearsal;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Levels\Grade;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Outcomes\OutcomeStatus;
use Watchpost\Core\Rehearsal\LevelRule;
use Watchpost\Core\Rehearsal\Past;
use Watchpost\Core\Rehearsal\Rehearsal;
use Watchpost\Core\Rehearsal\RehearsedCase;
use Watchpost\Core\Rehearsal\Rule;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\RelativeDraft;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

final class RehearsalTest extends TestCase
{
    private const DAY = 86_400;
    private const LEAD = 61;

    /**
     * Sixty-one quiet days of a usual range of 10 around 1000, then the days given.
     *
     * @param list<array{int, int, int, int}> $days
     */
    private static function past(array $days): Past
    {
        return self::pastOf([...array_fill(0, self::LEAD, [1000, 1005, 995, 1000]), ...$days]);
    }

    /** @param list<array{int, int, int, int}> $days */
    private static function pastOf(array $days): Past
    {
        $bars = [];
        foreach ($days as $i => [$open, $high, $low, $close]) {
            $start = strtotime('2025-01-06T08:30:00Z') + $i * self::DAY;
            $bars[] = new Bar($start, $start, gmdate('Y-m-d', $start), $open, $high, $low, $close, 1000);
        }

        return new Past('BRKF.Q', Series::of(new PriceGrid(2), TimeFrame::Day, $bars), new SessionBook());
    }

    /** @param array<string, mixed> $changes */
    private static function rule(DraftLeg $leg, LevelRule $at = new LevelRule(), int $level = 5000, int $close = 5000, array $changes = []): Rule
    {
        $draft = (new Draft(Side::Long, [$leg], $level - 100, [new DraftTarget($level + 200, '1')], 3))->replace($changes);

        return new Rule(new RelativeDraft($draft, new PriceGrid(2), $level, 100.0), $at, $close);
    }

    public function testEachCaseIsPutOnTheScaleOfItsEveningAndJudgedByTheEngine(): void
    {
        // 1 ATR is 10 here: stop 990, target 1020; the first wins on the day after, the second loses
        $past = self::past([[1000, 1021, 995, 1010], [1010, 1012, 980, 985]]);
        $cases = (new Rehearsal(self::rule(new DraftLeg(TriggerKind::Market))))->over($past, 2);

        self::assertCount(2, $cases);
        [$won, $lost] = $cases;
        self::assertSame(['2.0000', true, 1000, OutcomeStatus::Closed], [$won->r, $won->reached, $won->level, $won->status]);
        self::assertSame([$past->series->session[self::LEAD], $past->series->session[self::LEAD]], [$won->filled, $won->ended]);
        self::assertLessThan(0.0, (float) $lost->r);
        self::assertFalse($lost->reached);
    }

    public function testTheNextCaseBeginsWhenTheOneBeforeIsOver(): void
    {
        // nothing happens for five days, then the target: one case, not six
        $past = self::past([...array_fill(0, 5, [1000, 1005, 995, 1000]), [1000, 1030, 999, 1025]]);
        $cases = (new Rehearsal(self::rule(new DraftLeg(TriggerKind::Market))))->over($past, 6);

        self::assertSame(['2.0000'], array_map(static fn (RehearsedCase $case): ?string => $case->r, $cases));
    }

    public function testAnEntryThatIsNotReachedIsToldAndTheNextBeginsAtItsEnd(): void
    {
        $past = self::past(array_fill(0, 7, [1000, 1005, 995, 1000]));
        $cases = (new Rehearsal(self::rule(new DraftLeg(TriggerKind::Break, 5090))))->over($past, 7);

        self::assertSame([OutcomeStatus::NotTriggered, OutcomeStatus::NotTriggered], array_map(static fn (RehearsedCase $case): OutcomeStatus => $case->status, array_slice($cases, 0, 2)));
        self::assertSame([$past->series->session[self::LEAD - 1], $past->series->session[self::LEAD + 2]], [$cases[0]->session, $cases[1]->session], 'good for three sessions');
        self::assertFalse($cases[0]->counts());
    }

    public function testWhatIsStillOpenDoesNotCount(): void
    {
        $cases = (new Rehearsal(self::rule(new DraftLeg(TriggerKind::Market))))->over(self::past([[1000, 1005, 995, 1002]]), 1);

        self::assertSame([true, null, false], [$cases[0]->wasFilled(), $cases[0]->ended, $cases[0]->counts()]);
    }

    public function testALevelIsLookedForOnTheSideWhereTheSetupHasIt(): void
    {
        $below = self::rule(new DraftLeg(TriggerKind::Touch, 4950), new LevelRule(LevelKind::Period, name: '20-session low'), 4950, 5000);
        $above = self::rule(new DraftLeg(TriggerKind::Break, 5050), new LevelRule(LevelKind::Period, name: '20-session low'), 5050, 5000);
        $past = self::past([[1000, 1005, 995, 1000]]);

        self::assertSame(995, $past->levelOn(self::LEAD, $below));
        self::assertNull($past->levelOn(self::LEAD, $above), 'the low of 20 sessions never lies above the close');
    }

    public function testALevelTooFarAwayIsNoCase(): void
    {
        // the low is 5 ATR below after a jump; the setup's own lies 0.5 ATR away, so 1.5 is the reach
        $rule = self::rule(new DraftLeg(TriggerKind::Touch, 4950), new LevelRule(LevelKind::Period, name: '20-session low'), 4950, 5000);
        self::assertSame(1.5, $rule->reach());
        self::assertNull(self::past([[1100, 1105, 1095, 1100]])->levelOn(self::LEAD, $rule));
    }

    public function testTolerancesAndEveryPriceScaleWithTheUsualRange(): void
    {
        $leg = new DraftLeg(TriggerKind::Touch, 5010, 5, worst: 5100);
        $put = self::rule($leg, changes: ['cancel' => 4800, 'stopMoves' => [['after' => ['kind' => 'r', 'value' => '1'], 'to' => ['kind' => 'price', 'price' => '50.50']]]])
            ->setup->put(new PriceGrid(2, 5), 20_000, 1000.0);

        self::assertSame([20_100, 50, 21_000], [$put->entry()->price, $put->entry()->within, $put->entry()->worst]);
        self::assertSame([19_000, 18_000, [22_000]], [$put->stop, $put->cancel, $put->targetPrices()]);
        self::assertSame('205.00', $put->stopMoves[0]['to']['price'] ?? null);
    }

    public function testWhatDayBarsCannotJudgeIsRefusedWithTheReason(): void
    {
        self::assertNull(Rehearsal::refusal(self::rule(new DraftLeg(TriggerKind::Market))));
        $reason = Rehearsal::refusal(self::rule(new DraftLeg(TriggerKind::CloseBeyond, 5010, timeFrame: TimeFrame::Hour)));
        self::assertStringContainsString('day bars', (string) $reason);
    }

    /** Bars that come later change nothing of what is over, and no evening knows of them. */
    #[DataProvider('kindsOfLevel')]
    public function testNothingLooksAhead(LevelRule $at): void
    {
        $level = $at->kind === null ? 5000 : 4950;
        $rehearsal = new Rehearsal(self::rule(new DraftLeg(TriggerKind::Touch, $level, 10), $at, $level));
        $days = self::walk(420);
        $all = $rehearsal->over(self::pastOf($days), 320);
        self::assertGreaterThan(3, count($all));
        foreach ([330, 371, 405] as $cut) {
            $past = self::pastOf(array_slice($days, 0, $cut));
            $last = $past->series->session[$cut - 1];
            // the evenings before the cut are the same ones
            $known = $rehearsal->over($past, 320 - (420 - $cut));
            $over = static fn (RehearsedCase $case): bool => $case->ended !== null && $case->ended < $last;

            self::assertEquals(array_values(array_filter($all, $over)), array_values(array_filter($known, $over)), "cut after {$cut} days");
        }
    }

    /** @return iterable<string, array{LevelRule}> */
    public static function kindsOfLevel(): iterable
    {
        yield 'the close' => [new LevelRule()];
        yield 'a zone' => [new LevelRule(LevelKind::Zone, Grade::Minor)];
        yield 'an average' => [new LevelRule(LevelKind::Average, name: 'SMA 20')];
        yield 'a mark' => [new LevelRule(LevelKind::Period, name: 'low of the previous week')];
    }

    public function testACaseCanBeGoneThroughAgain(): void
    {
        $past = self::past([[1000, 1021, 995, 1010]]);
        $rehearsal = new Rehearsal(self::rule(new DraftLeg(TriggerKind::Market)));
        [$case] = $rehearsal->over($past, 1);
        [$setup, $outcome] = $rehearsal->again($past, $case->session, $case->level) ?? self::fail('the case is not found');

        self::assertSame([990, $case->r, $case->status], [$setup->stop, $outcome->r, $outcome->status]);
        self::assertNull($rehearsal->again($past, '1999-01-01', 1000));
        self::assertEquals($case, RehearsedCase::fromState($case->toState()));
    }

    /** @return list<array{int, int, int, int}> a seeded walk with swings to find levels at */
    private static function walk(int $days): array
    {
        mt_srand(11);
        $bars = [];
        $close = 5000;
        for ($i = 0; $i < $days; ++$i) {
            $open = $close + mt_rand(-20, 20);
            $close = max(2000, $open + mt_rand(-80, 80) + (int) round(60 * sin($i / 9)));
            $bars[] = [$open, max($open, $close) + mt_rand(0, 30), min($open, $close) - mt_rand(0, 30), $close];
        }

        return $bars;
    }
}
