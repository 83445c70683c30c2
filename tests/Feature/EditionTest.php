<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\PublishPlan;
use App\Models\Edition;
use App\Models\Outcome;
use App\Models\PublishedSetup;
use App\Publishing\BrokenSeal;
use App\Publishing\EditionReader;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Json\CanonicalJson;

final class EditionTest extends TestCase
{
    use World;

    public function testAnEditionIsNumberedSealedAndChained(): void
    {
        $this->planned('OAKL.Q');
        $first = $this->publish();
        $this->planned('TARN.Q');
        $second = $this->publish();

        self::assertSame([1, 2], [$first->number, $second->number]);
        self::assertNull($first->previous_seal);
        self::assertSame($first->seal, $second->previous_seal);
        foreach ([$first, $second] as $edition) {
            self::assertSame(hash('sha256', $edition->document), $edition->seal);
            self::assertSame($edition->document, CanonicalJson::encode(json_decode($edition->document, true)));
        }
        $document = app(EditionReader::class)->document($second);
        self::assertSame($first->seal, $document['previous_seal']);
        self::assertSame(self::EVENING, $document['published_at']);
        self::assertSame('2024-11-21', $document['session']['date']);
    }

    public function testTheDocumentHoldsWhatWasPlanned(): void
    {
        $candidate = $this->planned('OAKL.Q');
        $this->actingAs($this->author)->postJson("/plan/mark/{$candidate->id}/levels", ['price' => $this->price('OAKL.Q', -0.02), 'origin' => 'swing low', 'grade' => 'major'])->assertOk();
        $part = app(EditionReader::class)->document($this->publish())['candidates'][0];

        self::assertSame('OAKL.Q', $part['instrument']['symbol']);
        self::assertEquals([['price' => $this->price('OAKL.Q', -0.02), 'origin' => 'swing low', 'grade' => 'major']], $part['levels']);
        self::assertArrayHasKey('setups', $part);
        self::assertSame($this->price('OAKL.Q', -0.03), $part['setups'][0]['rules']['stop']['price']);
        self::assertStringContainsString($this->price('OAKL.Q', 0.005), $part['setups'][0]['sentence']);
    }

    public function testPublishingTwiceGivesOneEdition(): void
    {
        $this->planned('OAKL.Q');
        $plan = $this->plan();

        self::assertTrue(app(PublishPlan::class)($plan)->is(app(PublishPlan::class)($plan)));
        self::assertSame([1, 1], [Edition::query()->count(), PublishedSetup::query()->count()]);
    }

    public function testASealedEditionCannotBeChangedOrRemoved(): void
    {
        $this->planned('OAKL.Q');
        $edition = $this->publish();
        foreach ([static fn () => $edition->update(['document' => '{}']), static fn () => $edition->delete()] as $attempt) {
            try {
                $attempt();
                self::fail('the edition was changed');
            } catch (\LogicException $e) {
                self::assertStringContainsString('sealed', $e->getMessage());
            }
        }
        self::assertSame($edition->seal, $edition->refresh()->seal);
    }

    public function testTheDraftOfAPublishedPlanCanNoLongerBeChanged(): void
    {
        $candidate = $this->planned('OAKL.Q');
        $edition = $this->publish();
        $this->actingAs($this->author);

        $this->patchJson("/plan/mark/{$candidate->id}/setup", ['stop' => $this->price('OAKL.Q', -0.04)])->assertStatus(409);
        $this->postJson("/plan/mark/{$candidate->id}/levels", ['price' => $this->price('OAKL.Q', -0.04)])->assertStatus(409);
        $this->deleteJson("/plan/candidates/{$candidate->id}")->assertStatus(409);
        self::assertSame(hash('sha256', $edition->refresh()->document), $edition->seal);
    }

    public function testADocumentChangedBehindTheApplicationIsNeitherShownNorJudged(): void
    {
        $this->planned('OAKL.Q');
        $edition = $this->publish();
        DB::table('editions')->update(['document' => str_replace('OAKL.Q', 'TARN.Q', $edition->document)]);

        $this->actingAs($this->pilot)->get('/editions/1')->assertStatus(500);
        $this->expectException(BrokenSeal::class);
        app(EditionReader::class)->document($edition->refresh());
    }

    public function testWhatATierDoesNotReadNeverLeavesTheServer(): void
    {
        $this->planned('OAKL.Q');
        $this->planned('GRIT.Q', readers: 'pilot');
        $this->publish();

        foreach (['/editions', '/editions/1'] as $page) {
            $this->actingAs($this->harbour)->get($page)->assertOk()->assertSee('OAKL.Q')->assertDontSee('GRIT.Q')->assertDontSee('Gritwell');
            $this->actingAs($this->pilot)->get($page)->assertOk()->assertSee('GRIT.Q');
        }
        $this->actingAs($this->harbour)->get('/editions/1')->assertInertia(fn ($page) => $page->component('Edition')->where('edition.withheld', 1));
        $this->actingAs($this->harbour)->get('/record')->assertDontSee('GRIT.Q')->assertInertia(fn ($page) => $page->has('rows', 1)->where('withheld', 1));
        $this->actingAs($this->pilot)->get('/record')->assertInertia(fn ($page) => $page->has('rows', 2)->where('withheld', 0));
        $this->actingAs($this->harbour)->get('/editions/1/document')->assertForbidden();
        $this->actingAs($this->pilot)->get('/editions/1/document')->assertOk()->assertContent(Edition::query()->firstOrFail()->document);
    }

    public function testWhatStopsAPlanIsToldAndNothingIsPublished(): void
    {
        $this->candidate('OAKL.Q');
        $plan = $this->plan();
        $this->actingAs($this->author);

        $this->postJson('/plan/publish', ['plan' => $plan->id])->assertStatus(422)->assertJsonValidationErrors(['plan' => 'No candidate is kept yet.']);
        $this->get('/plan/publish')->assertInertia(fn ($page) => $page->component('Publish')->where('notReady', 1)->where('edition.parts', [])->where('check.1.message', 'OAKL.Q is neither kept nor passed.'));
        self::assertSame(0, Edition::query()->count());
    }

    public function testPublishingHandsEverySetupToTheRecord(): void
    {
        $this->planned('OAKL.Q');
        $this->planned('TARN.Q');
        $plan = $this->plan();
        $this->actingAs($this->author)->post('/plan/publish', ['plan' => $plan->id])->assertRedirect('/editions/1');

        self::assertSame(['waiting', 'waiting'], Outcome::query()->pluck('status')->map->value->all());
        $this->get('/record')->assertInertia(fn ($page) => $page->component('Record')->has('rows', 2)->where('totals.waiting', 2));
    }
}
