<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Data\OutcomeData;
use App\Record\RecordPresenter;
use App\Subscribers\Tiers;
use Tests\Played;
use Tests\TestCase;
use Tests\World;

/** The record over bars made for the case: the setup is a touch at 98 % of the last close, stop 96 %, target 103 %. */
final class RecordTest extends TestCase
{
    use Played;
    use World;

    public function testASetupThatWaitsHasNoFigures(): void
    {
        $outcome = $this->after([]);

        self::assertSame(['waiting', null, null, []], [$outcome->label, $outcome->r, $outcome->missed, $outcome->events]);
        self::assertNotNull($outcome->strip->now);
    }

    public function testAFillThatIsOpenTellsOpenAndRealisedApart(): void
    {
        $outcome = $this->after([[1.0, 1.0, 0.975, 0.99]]);

        self::assertSame(['open', '0.0000'], [$outcome->label, $outcome->rRealised]);
        self::assertEqualsWithDelta(0.5, (float) $outcome->rOpen, 0.02);
        self::assertSame(['filled'], array_map(static fn ($event): string => $event->what, $outcome->events));
        self::assertSame('21 Nov 09:30', $outcome->events[0]->when);
    }

    public function testAStopTellsItsPriceAndTime(): void
    {
        $outcome = $this->after([[1.0, 1.0, 0.975, 0.99], [0.99, 0.99, 0.95, 0.955]]);

        self::assertSame(['closed', ['filled', 'stop'], 0], [$outcome->label, array_map(static fn ($event): string => $event->what, $outcome->events), substr_count($outcome->events[1]->note, 'assumed')]);
        self::assertEqualsWithDelta(-1.0, (float) $outcome->r, 0.0001);
        self::assertNull($outcome->strip->now);
        self::assertSame(1, $outcome->sessionsHeld);
    }

    public function testAGapIsToldWithTheExit(): void
    {
        $outcome = $this->after([[1.0, 1.0, 0.975, 0.99], [1.05, 1.06, 1.04, 1.05]]);

        self::assertSame(['target 1', 'at the open, beyond the planned price'], [$outcome->events[1]->what, $outcome->events[1]->note]);
        self::assertEqualsWithDelta(3.5, (float) $outcome->r, 0.02);
    }

    public function testAnOrderThatIsNotKnownIsAssumedAndToldSo(): void
    {
        $outcome = $this->after([[1.0, 1.0, 0.975, 0.99], [0.99, 1.04, 0.95, 1.0]]);

        self::assertTrue($outcome->ambiguous);
        self::assertSame(['stop', 'order within the bar assumed'], [$outcome->events[1]->what, $outcome->events[1]->note]);
    }

    public function testNotTriggeredSaysByHowMuchItMissed(): void
    {
        $outcome = $this->after([[1.0, 1.01, 0.985, 1.0]], until: '2024-11-28T18:00:00Z');

        self::assertSame(['not triggered', null], [$outcome->label, $outcome->r]);
        self::assertMatchesRegularExpression('/^missed by \d+\.\d\d \(0\.51 %\) on Thursday 21 November 2024$/', (string) $outcome->missed);
        self::assertSame(['expired'], array_map(static fn ($event): string => $event->what, $outcome->events));
    }

    public function testAnOpenPastTheStopIsVoid(): void
    {
        $outcome = $this->after([[0.95, 0.96, 0.94, 0.95]]);

        self::assertSame(['void', 'void: the price was past the stop'], [$outcome->label, $outcome->events[0]->what]);
    }

    public function testTheTotalsCountEverySetupOnceAndKeepOpenApart(): void
    {
        $this->after([[1.0, 1.0, 0.975, 0.99]]);
        $presenter = app(RecordPresenter::class);
        $totals = $presenter->totals($presenter->rows(app(Tiers::class)->whole()));

        self::assertSame([1, 1, 0, 0, '0.00'], [$totals->published, $totals->open, $totals->closed, $totals->notTriggered, $totals->realised]);
        self::assertEqualsWithDelta(0.5, (float) $totals->openR, 0.02);
        self::assertStringContainsString('No slippage', $totals->costs);
    }

    public function testTheEditionPageTellsWhatHappenedSince(): void
    {
        $this->after([[1.0, 1.0, 0.975, 0.99]]);
        $this->actingAs($this->harbour)->get('/editions/1')->assertInertia(fn ($page) => $page
            ->where('edition.parts.0.setups.0.followed.outcome.status', 'open')
            ->where('edition.parts.0.setups.0.followed.outcome.events.0.session', '2024-11-21')
            ->loadDeferredProps(fn ($page) => $page->where('charts', fn ($charts): bool => [...$charts]['OAKL.Q']['publishedAfter'] === 27)));
        $this->get('/editions')->assertInertia(fn ($page) => $page->where('editions.0.standing', '1 open')->where('editions.0.symbols', ['OAKL.Q']));
    }

    /**
     * The outcome after these bars of five minutes, each told in shares of the last close before publication.
     *
     * @param list<array{float, float, float, float}> $bars open, high, low, close
     */
    private function after(array $bars, string $until = '2024-11-21T12:00:00Z'): OutcomeData
    {
        $this->planned('OAKL.Q', entry: -0.02, stop: -0.04, target: 0.03);
        $this->publish();
        $this->play($bars, $until);
        $rows = app(RecordPresenter::class)->rows(app(Tiers::class)->whole());

        return $rows[0]->followed->outcome;
    }
}
