<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\CarryOver;
use App\Enums\CandidateState;
use App\Enums\Relation;
use App\Enums\Role;
use App\Models\Candidate;
use App\Models\Outcome;
use App\Models\PublishedSetup;
use App\Models\Review;
use App\Models\Update;
use App\Publishing\EditionReader;
use Illuminate\Validation\ValidationException;
use Tests\Played;
use Tests\TestCase;
use Tests\World;

final class ReviewTest extends TestCase
{
    use Played;
    use World;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->author);
    }

    public function testWithoutAnEditionThereIsNothingToLookBackOn(): void
    {
        $this->get('/')->assertRedirect('/plan/review');
        $this->get('/plan/review')->assertInertia(fn ($page) => $page->component('Review')->where('review.groups', [])->where('review.since', '')->where('dayLine.0.note', 'nothing published'));
    }

    public function testWhatEndedIsToldApartFromWhatIsOpenAndWhatWaits(): void
    {
        $this->published();
        $this->play([[1.0, 1.0, 0.975, 0.99], [0.99, 1.04, 0.985, 1.03]]);
        $this->get('/plan/review')->assertInertia(fn ($page) => $page
            ->where('review.groups.0.label', 'Ended')
            ->where('review.groups.0.items.0.symbol', 'OAKL.Q')
            ->where('review.groups.0.items.0.offers', ['continues'])
            ->where('review.groups.0.items.0.isSettled', false)
            ->where('review.groups.1.label', 'Waiting')
            ->where('review.groups.1.items.0.symbol', 'TARN.Q')
            ->where('review.groups.1.items.0.offers', ['still', 'replaces', 'adds_to'])
            ->where('review.realised', fn (string $r): bool => abs((float) $r - 2.5) < 0.02)
            ->where('review.best', fn (string $told): bool => str_starts_with($told, 'OAKL.Q +2.'))
            ->where('review.worst', null)
            ->where('review.open', null)
            ->where('review.waiting', 1)
            ->where('dayLine.0.note', '2 of 2 to settle'));
    }

    public function testWhenNothingClosedItSaysSo(): void
    {
        $this->published();
        $this->play([[1.0, 1.0, 0.975, 0.99]]);
        $this->get('/plan/review')->assertInertia(fn ($page) => $page->where('review.realised', null)->where('review.openCount', 1)->where('review.open', fn (string $r): bool => (float) $r > 0.4));
    }

    public function testWhatEndedBeforeTheLastEditionIsNotLookedBackOnAgain(): void
    {
        $this->published();
        $this->play([[1.0, 1.0, 0.975, 0.99], [0.99, 1.04, 0.985, 1.03]], '2024-11-21T09:45:00Z');
        $this->planned('GRIT.Q');
        $this->publish();
        $symbols = [];
        $this->get('/plan/review')->assertInertia(function ($page) use (&$symbols): void {
            foreach ($page->toArray()['props']['review']['groups'] as $group) {
                array_push($symbols, ...array_column($group['items'], 'symbol'));
            }
        });
        sort($symbols);

        self::assertSame(['GRIT.Q', 'TARN.Q'], $symbols);
    }

    public function testReasonAndResultAreJudgedApartAndTheRecordStays(): void
    {
        $published = $this->published();
        $before = Outcome::query()->get()->toArray();
        $this->patch("/plan/review/{$published->id}", ['reason' => 'failed', 'result' => 'lucky', 'note' => ' Right for another reason. '])->assertSessionHasNoErrors();
        $this->patch("/plan/review/{$published->id}", ['reason' => 'mostly', 'result' => null, 'note' => ''])->assertSessionHasErrors('reason');
        $review = Review::query()->sole();

        self::assertSame(['failed', 'lucky', 'Right for another reason.'], [$review->reason?->value, $review->result?->value, $review->note]);
        self::assertSame($before, Outcome::query()->get()->toArray());
        $this->get('/plan/review')->assertInertia(fn ($page) => $page->where('dayLine.0.note', '1 of 2 to settle'));
    }

    public function testWhatStillStandsIsToldByReferenceWithOneResult(): void
    {
        $published = $this->published();
        $this->play([[1.0, 1.0, 0.99, 0.99]], '2024-11-21T18:00:00Z');
        $this->post("/plan/review/{$published->id}/carry", ['relation' => 'still'])->assertSessionHasNoErrors();
        $this->get('/plan/publish')->assertInertia(fn ($page) => $page->where('notReady', 0)->where('edition.parts.0.carried.relation', 'still'));
        $second = $this->publish();
        $part = app(EditionReader::class)->document($second)['candidates'][0];

        self::assertSame('still', $part['state']);
        self::assertEquals(['relation' => 'still', 'edition' => 1, 'seal' => $published->edition->seal, 'setups' => [['key' => '1', 'sentence' => app(EditionReader::class)->setup($published->edition, '1')->sentence]]], $part['carried'] ?? null);
        self::assertSame(2, PublishedSetup::query()->count());
        $this->actingAs($this->harbour)->get('/editions/2')->assertInertia(fn ($page) => $page->where('edition.parts.0.carried.setups.0.followed.outcome.status', 'waiting')->where('edition.parts.0.setups', []));
        $this->get('/editions/2/markdown')->assertSee('Still stands (edition 1, setup 1)');
    }

    public function testWhatIsOverMeanwhileStopsThePublicationOfItsReference(): void
    {
        $published = $this->published();
        $this->play([[1.0, 1.0, 0.99, 0.99]], '2024-11-21T09:40:00Z');
        $this->post("/plan/review/{$published->id}/carry", ['relation' => 'still']);
        $this->play([[0.99, 0.99, 0.95, 0.95]], '2024-11-21T18:00:00Z');
        $this->get('/plan/publish')->assertInertia(fn ($page) => $page->where('check.0.stops', true)->where('check.0.message', 'OAKL.Q is told as still standing, but is over since: plan it anew, or pass it with a reason.'));
    }

    public function testANewSetupBringsTheEarlierWordsAndPricesAndReplacesTheOldOne(): void
    {
        $this->planned('OAKL.Q', entry: -0.02, stop: -0.04, target: 0.03)->update(['speaks_for' => 'The group leads.', 'conviction' => 4]);
        $this->publish();
        $published = PublishedSetup::query()->firstOrFail();
        $this->play([[1.0, 1.0, 0.99, 0.99]], '2024-11-21T09:35:00Z');
        $this->post("/plan/review/{$published->id}/carry", ['relation' => 'replaces'])->assertSessionHasNoErrors();
        $candidate = Candidate::query()->where('plan_id', $this->plan()->id)->with(['setups', 'instrument'])->firstOrFail();

        self::assertSame([CandidateState::Kept, Relation::Replaces, 'The group leads.', 4], [$candidate->state, $candidate->relation, $candidate->speaks_for, $candidate->conviction]);
        self::assertSame($this->at(0.96), $candidate->instrument->grid()->format((int) $candidate->setups[0]?->stop));
        $this->publish();
        self::assertSame(['cancel_waiting', 'Replaced in edition 2.'], [Update::query()->sole()->kind->value, Update::query()->sole()->text]);
        $this->play([[0.99, 0.99, 0.975, 0.98]], '2024-11-21T18:30:00Z');
        self::assertSame(['open', 'cancelled'], [$published->refresh()->outcome?->status->value, $published->managed?->status->value]);
    }

    public function testCarryingOverCanBeUndone(): void
    {
        $published = $this->published();
        $this->post("/plan/review/{$published->id}/carry", ['relation' => 'still']);
        $this->postJson('/plan/undo')->assertJson(['message' => 'Undone: carry over OAKL.Q.']);
        self::assertSame(0, $this->plan()->candidates()->count());
    }

    public function testASetupOfItsOwnTakesTheReferencesPlace(): void
    {
        $published = $this->published();
        $this->post("/plan/review/{$published->id}/carry", ['relation' => 'still']);
        $candidate = $this->plan()->candidates()->firstOrFail();
        $this->patchJson("/plan/mark/{$candidate->id}/setup", ['trigger' => 'touch', 'entry' => $this->price('OAKL.Q', -0.01), 'stop' => $this->price('OAKL.Q', -0.04)])->assertOk();

        self::assertSame(Relation::Continues, $candidate->refresh()->relation);
        $this->expectException(ValidationException::class);
        app(CarryOver::class)($this->plan(), $published, Relation::Still);
    }

    public function testWhatIsLetGoIsSettledAndStillFollowed(): void
    {
        $published = $this->published();
        $this->post("/plan/review/{$published->id}/let-go", ['let_go' => true]);
        $this->get('/plan/review')->assertInertia(fn ($page) => $page->where('review.groups.0.items.0.isLetGo', true)->where('review.groups.0.items.0.isSettled', true));
        $this->play([[1.0, 1.0, 0.975, 0.99]]);
        self::assertSame('open', $published->refresh()->outcome?->status->value);
        $this->post("/plan/review/{$published->id}/carry", ['relation' => 'still']);
        self::assertFalse(Review::query()->where('published_setup_id', $published->id)->value('is_let_go'));
    }

    public function testLevelsThatHeldOrBrokeSinceAreTold(): void
    {
        $candidate = $this->planned('OAKL.Q', entry: -0.02, stop: -0.04, target: 0.03);
        $this->postJson("/plan/mark/{$candidate->id}/levels", ['price' => $this->price('OAKL.Q', -0.02), 'origin' => 'swing low', 'grade' => 'major'])->assertOk();
        $this->publish();
        $this->play([[1.0, 1.0, 0.978, 0.985], [0.985, 1.01, 0.985, 1.01]], '2024-11-21T18:00:00Z');
        $this->get('/plan/review')->assertInertia(fn ($page) => $page->where('review.levels.0.symbol', 'OAKL.Q')->where('review.levels.0.kind', fn (string $kind): bool => $kind !== 'broke')->where('review.levels.0.session', 'Thu 21 Nov 2024'));
    }

    public function testTheChartComesWithWhatHappenedAndOnlyToThoseWhoWorkOnThePlan(): void
    {
        $published = $this->published();
        $this->getJson("/plan/review/{$published->id}")->assertOk()->assertJsonPath('symbol', 'OAKL.Q')->assertJsonCount(1, 'setups')->assertJsonStructure(['chart' => ['publishedAfter']]);
        $this->actingAs($this->person('other', Role::Author))->getJson("/plan/review/{$published->id}")->assertForbidden();
        $this->actingAs($this->pilot)->getJson("/plan/review/{$published->id}")->assertForbidden();
    }

    private function published(): PublishedSetup
    {
        $this->planned('OAKL.Q', entry: -0.02, stop: -0.04, target: 0.03);
        $this->planned('TARN.Q', entry: -0.3, stop: -0.4, target: 0.1, readers: 'pilot');
        $this->publish();

        return PublishedSetup::query()->with('edition')->firstOrFail();
    }
}
