<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\MarkLevel;
use App\Actions\WriteBias;
use App\Levels\NewLevel;
use App\Market\BarRepository;
use App\Market\ReferenceStore;
use App\Models\Instrument;
use App\Models\MarketEvent;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Market\MarketEvent as CoreEvent;
use Watchpost\Core\Market\MarketEventKind;
use Watchpost\Core\Market\SessionSide;

final class MarketStepTest extends TestCase
{
    use World;

    /** @return list<string> */
    protected function symbols(): array
    {
        return ['NORD.Q', 'OAKL.Q', 'TARN.Q', 'GRIT.Q', 'SWEL.Q'];
    }

    public function testTheGaugesAreThoseTheAuthorHasChosen(): void
    {
        $this->actingAs($this->author)->patch('/plan/market/settings', ['gauges' => ['TARN.Q', 'NORD.Q'], 'order' => [['kind' => 'ema', 'period' => 3], ['kind' => 'sma', 'period' => 10]]])->assertRedirect();
        $nord = app(BarRepository::class)->days($this->instrument('NORD.Q'), 2);
        $change = sprintf('%.2f', ($nord->close[1] / $nord->close[0] - 1) * 100);

        $this->get('/plan/market')->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Market')
            ->has('market.gauges', 2)
            ->where('market.gauges.0.symbol', 'TARN.Q')
            ->where('market.gauges.0.correlation', null)
            ->where('market.gauges.1.change', $change)
            ->where('market.gauges.1.place', null)
            ->where('market.gauges.1.order', fn (?string $order): bool => in_array($order, ['up', 'down', 'mixed'], true))
            ->has('market.gauges.1.spark', 28)
            ->where('market.order', [['kind' => 'ema', 'period' => 3], ['kind' => 'sma', 'period' => 10]]));
        $this->actingAs($this->assistant)->get('/plan/market')->assertInertia(fn (AssertableInertia $page) => $page->has('market.gauges', 2));
    }

    public function testSettingsThatMakeNoSenseAreRefusedAndTheOldOnesStay(): void
    {
        $this->actingAs($this->author);
        $this->patch('/plan/market/settings', ['gauges' => ['NORD.Q', 'NORD.Q'], 'order' => [['kind' => 'sma', 'period' => 20]]])->assertSessionHasErrors('gauges.0');
        $this->patch('/plan/market/settings', ['gauges' => ['NONE.Q'], 'order' => [['kind' => 'sma', 'period' => 20]]])->assertSessionHasErrors('gauges.0');
        $this->patch('/plan/market/settings', ['gauges' => [], 'order' => [['kind' => 'sma', 'period' => 1]]])->assertSessionHasErrors(['order.0.period' => 'An average is taken over 2 to 400 sessions.']);
        $this->get('/plan/market')->assertInertia(fn (AssertableInertia $page) => $page->where('market.gauges.0.symbol', 'NORD.Q'));
    }

    public function testTheNextLevelsAreTheAuthorsOwnAndElseTheExtremes(): void
    {
        $candidate = $this->candidate('TARN.Q');
        $close = app(BarRepository::class)->lastClose($candidate->instrument) ?? 0;
        app(MarkLevel::class)($candidate, NewLevel::at($close + 3, 'a line of my own'));
        $this->actingAs($this->author)->patch('/plan/market/settings', ['gauges' => ['TARN.Q'], 'order' => [['kind' => 'sma', 'period' => 5]]]);
        $lows = app(BarRepository::class)->days($candidate->instrument, 20)->low;

        $this->get('/plan/market')->assertInertia(fn (AssertableInertia $page) => $page
            ->where('market.gauges.0.above.origin', 'a line of my own')
            ->where('market.gauges.0.above.price', $candidate->instrument->grid()->format($close + 3))
            ->where('market.gauges.0.below.origin', '20-session low')
            ->where('market.gauges.0.below.price', $candidate->instrument->grid()->format(min($lows))));
    }

    public function testBreadthAndGroupsCountTheShares(): void
    {
        $rose = 0;
        foreach (['OAKL.Q', 'TARN.Q', 'GRIT.Q'] as $symbol) {
            $days = app(BarRepository::class)->days($this->instrument($symbol), 2)->close;
            $rose += $days[1] > $days[0] ? 1 : 0;
        }

        $this->actingAs($this->author)->get('/plan/market')->assertInertia(fn (AssertableInertia $page) => $page
            ->where('market.breadth.shares', 3)
            ->where('market.breadth.advancers', $rose)
            ->where('market.breadth.above50', null)
            ->has('market.groups', 3)
            ->where('market.groups.0.returns.3', null)
            ->where('market.groups.0.returns.0', fn (?float $value): bool => $value !== null));
    }

    public function testEventsOfTheMarketAndOfCandidatesAreListedAndWeighed(): void
    {
        $this->candidate('OAKL.Q');
        MarketEvent::query()->delete();
        $ids = Instrument::query()->pluck('id', 'symbol')->all();
        app(ReferenceStore::class)->events([
            new CoreEvent('2024-11-22', MarketEventKind::CentralBank, 'Rate decision', 'Gazette', SessionSide::During, '13:00'),
            new CoreEvent('2024-11-25', MarketEventKind::Earnings, 'Earnings of Oaklight', 'report', SessionSide::After, null, 'OAKL.Q'),
            new CoreEvent('2024-11-25', MarketEventKind::Earnings, 'Earnings of Tarn', 'report', SessionSide::After, null, 'TARN.Q'),
            new CoreEvent('2024-12-30', MarketEventKind::Economic, 'Too far ahead', 'Gazette'),
            new CoreEvent('2024-11-26', MarketEventKind::Offering, 'Not announced yet', 'notice', null, null, 'OAKL.Q'),
        ], static fn (CoreEvent $event): int => $event->kind === MarketEventKind::Offering ? (int) strtotime('2024-11-26') : 0, $ids);
        $this->actingAs($this->author);
        $event = MarketEvent::query()->where('title', 'Rate decision')->sole();

        $this->get('/plan/market')->assertInertia(fn (AssertableInertia $page) => $page
            ->has('market.events', 2)
            ->where('market.events.0.when', '13:00 Quay time, during the session')
            ->where('market.events.1.ofCandidate', true)
            ->where('market.otherEarnings', 1));
        $this->patch("/plan/market/events/{$event->id}", ['weight' => 3, 'note' => 'no entries before it'])->assertRedirect();
        $this->patch("/plan/market/events/{$event->id}", ['weight' => 4, 'note' => ''])->assertSessionHasErrors('weight');
        $this->get('/plan/market')->assertInertia(fn (AssertableInertia $page) => $page->where('market.events.0.weight', 3)->where('market.events.0.note', 'no entries before it'));
    }

    public function testTheStanceGoesIntoThePlanAndTheEdition(): void
    {
        (new WriteBias())($this->plan(), 'Strength is bought on pullbacks.');
        $this->actingAs($this->author)->get('/plan/market')->assertInertia(fn (AssertableInertia $page) => $page->where('plan.bias', 'Strength is bought on pullbacks.')->where('dayLine.1.done', true));
        $this->planned('OAKL.Q');
        self::assertStringContainsString('Strength is bought on pullbacks.', $this->publish()->document);
    }
}
