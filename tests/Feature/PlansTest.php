<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\BeginPlan;
use App\Clock\MarketClock;
use App\Enums\PlanKind;
use App\Models\Plan;
use App\Planning\CurrentPlan;
use App\Planning\Seen;
use App\Publishing\EditionReader;
use Tests\TestCase;
use Tests\World;

/** Kinds of plan, several drafts, sessions from the calendar, and two people on one plan. */
final class PlansTest extends TestCase
{
    use World;

    public function testEachKindBeginsWithItsOwnTextsForItsOwnSessions(): void
    {
        $daily = app(BeginPlan::class)($this->author, PlanKind::Daily);
        $weekly = app(BeginPlan::class)($this->author, PlanKind::Weekly);

        self::assertSame(['2024-11-21', null], [$daily->session_date, $daily->through_date]);
        // Wednesday evening: the week that is still to come begins on Monday
        self::assertSame(['2024-11-25', '2024-11-29'], [$weekly->session_date, $weekly->through_date]);
        self::assertSame(['The session ahead', 'Disclaimer'], array_column($daily->parts, 'title'));
        self::assertSame(['The week behind', 'The week ahead', 'What would change this plan', 'Disclaimer'], array_column($weekly->parts, 'title'));
    }

    public function testAWeeklyPlanIsPublishedForItsWeek(): void
    {
        $this->actingAs($this->author)->post('/plan/drafts', ['kind' => 'weekly']);
        $this->planned('OAKL.Q');
        $document = app(EditionReader::class)->document($this->publish());

        self::assertSame(['weekly', '2024-11-25', '2024-11-29'], [$document['kind'], $document['session']['date'], $document['through'] ?? null]);
        $this->get('/editions/1')->assertInertia(fn ($page) => $page->where('edition.kind', 'Weekly plan')->where('edition.session', 'Monday 25 to Friday 29 November 2024'));
        $this->get('/editions')->assertInertia(fn ($page) => $page->where('editions.0.kind', 'Weekly plan'));
    }

    public function testSeveralDraftsAreKeptApartAndEachPersonHasTheirsInHand(): void
    {
        $this->candidate('OAKL.Q');
        $daily = $this->plan();
        $this->actingAs($this->author)->post('/plan/drafts', ['kind' => 'weekly']);
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates', [])->has('plan.drafts', 2)->where('plan.kind', 'weekly'));
        $this->actingAs($this->assistant)->post("/plan/drafts/{$daily->id}");
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->has('candidates', 1)->where('plan.kind', 'daily'));
        $this->actingAs($this->author->refresh())->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('plan.kind', 'weekly'));
        $this->delete('/plan/drafts/'.$this->author->refresh()->chosen_plan_id);
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->has('candidates', 1)->has('plan.drafts', 1));
    }

    public function testAPublishedPlanIsNotThrownAway(): void
    {
        $this->planned('OAKL.Q');
        $this->publish();
        $plan = Plan::query()->whereNotNull('published_at')->sole();
        $this->actingAs($this->author)->delete("/plan/drafts/{$plan->id}")->assertSessionHasErrors('plan');
        self::assertModelExists($plan);
    }

    public function testTheSessionIsChosenFromTheCalendar(): void
    {
        $this->actingAs($this->author)->patch('/plan/session', ['session' => '2024-11-22'])->assertSessionHasNoErrors();
        self::assertSame('2024-11-22', $this->plan()->session_date);
        $this->patch('/plan/session', ['session' => '2024-11-23'])->assertSessionHasErrors('session');
        self::assertSame(1, Plan::query()->where('session_date', '2024-11-22')->count());
    }

    public function testAPlanForASessionThatRunsSaysThatItIsLate(): void
    {
        $this->planned('OAKL.Q');
        app(MarketClock::class)->moveTo((int) strtotime('2024-11-21T10:00:00Z'));
        $this->actingAs($this->author);
        self::assertSame('2024-11-22', $this->plan()->session_date);
        $this->patch('/plan/session', ['session' => '2024-11-21'])->assertSessionHasNoErrors();
        self::assertTrue($this->plan()->is_late);
        $this->get('/plan/publish')->assertInertia(fn ($page) => $page->where('plan.isLate', true)->where('check', fn ($lines): bool => array_filter([...$lines], static fn (array $line): bool => str_contains($line['message'], 'the edition says so')) !== []));
        self::assertTrue(app(EditionReader::class)->document($this->publish())['late'] ?? false);
        $this->get('/editions/1')->assertInertia(fn ($page) => $page->where('edition.isLate', true));
    }

    public function testADraftWhoseSessionRanMovesOnAlsoWhenItWasSaidToBeLate(): void
    {
        app(MarketClock::class)->moveTo((int) strtotime('2024-11-21T10:00:00Z'));
        $this->actingAs($this->author)->patch('/plan/session', ['session' => '2024-11-21']);
        app(MarketClock::class)->moveTo((int) strtotime('2024-11-21T20:00:00Z'));
        $plan = app(CurrentPlan::class)->of($this->author);
        self::assertSame(['2024-11-22', false], [$plan->session_date, $plan->is_late]);
    }

    public function testItMustBeOutWhenTheFirstMarketAmongItsInstrumentsOpens(): void
    {
        $this->candidate('OAKL.Q');
        $this->actingAs($this->author)->get('/plan/publish')->assertInertia(fn ($page) => $page->where('plan.deadline', 'Thu 21 Nov 2024, 09:30 Quay time (09:30 UTC), when OAKL.Q opens'));
    }

    public function testWhatSomeoneElseChangedMeanwhileIsNotOverwritten(): void
    {
        $candidate = $this->planned('OAKL.Q');
        $other = $this->planned('TARN.Q');
        $plan = $this->plan()->refresh();
        $seen = [Seen::HEADER => "{$plan->id}:{$plan->revision}"];
        $stop = $this->price('OAKL.Q', -0.04);
        $this->actingAs($this->assistant)->patchJson("/plan/mark/{$candidate->id}/setup", ['stop' => $stop], $seen)->assertOk();
        $this->actingAs($this->author)->patchJson("/plan/mark/{$candidate->id}/setup", ['stop' => $this->price('OAKL.Q', -0.05)], $seen)
            ->assertStatus(422)
            ->assertJsonValidationErrors(['stale' => 'Tobias changed this since you opened it']);
        self::assertSame($stop, $candidate->instrument->grid()->format((int) $candidate->setups()->sole()->stop));
        // another instrument is not touched by that, and one's own changes never stand in one's way
        $this->patchJson("/plan/mark/{$other->id}/setup", ['stop' => $this->price('TARN.Q', -0.05)], $seen)->assertOk();
        $this->patchJson("/plan/mark/{$other->id}/setup", ['stop' => $this->price('TARN.Q', -0.06)], $seen)->assertOk();
        $fresh = $this->plan()->refresh();
        $this->patchJson("/plan/mark/{$candidate->id}/setup", ['stop' => $this->price('OAKL.Q', -0.05)], [Seen::HEADER => "{$fresh->id}:{$fresh->revision}"])->assertOk();
    }

    public function testWhatSomeoneElseUndidMeanwhileIsNotOverwrittenEither(): void
    {
        $candidate = $this->planned('OAKL.Q');
        $plan = $this->plan()->refresh();
        $this->actingAs($this->assistant)->postJson('/plan/undo');
        $this->actingAs($this->author)->patchJson("/plan/mark/{$candidate->id}/setup", ['stop' => $this->price('OAKL.Q', -0.05)], [Seen::HEADER => "{$plan->id}:{$plan->revision}"])->assertStatus(422)->assertJsonValidationErrors('stale');
    }
}
