<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Candidate;
use App\Models\PublishedSetup;
use App\Publishing\EditionReader;
use Illuminate\Http\Response;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Outcomes\OutcomeStatus;

final class VariantsTest extends TestCase
{
    use World;

    private Candidate $candidate;

    protected function setUp(): void
    {
        parent::setUp();
        $this->candidate = $this->planned('OAKL.Q');
        $this->actingAs($this->author);
    }

    public function testAVariantIsAddedTakenInHandChangedAndTakenAway(): void
    {
        $this->add('patient')->assertOk()->assertJsonPath('variant', 2)->assertJsonPath('setup.legs.0.kind', 'retest')
            ->assertJsonPath('candidate.variants.*.name', ['nearer', 'patient'])->assertJsonPath('eitherOr', true);

        $this->patchJson($this->path('setup?variant=2'), ['good_for' => 9])->assertOk()->assertJsonPath('setup.goodFor', 9);
        $this->getJson($this->path('workbench'))->assertJsonPath('setup.goodFor', 5)->assertJsonPath('variant', 1);
        $this->postJson($this->path('use?variant=2'), ['price' => $this->price('OAKL.Q', -0.05), 'as' => 'stop'])->assertOk();
        self::assertSame([$this->price('OAKL.Q', -0.03), $this->price('OAKL.Q', -0.05)], [$this->stop(1), $this->stop(2)]);

        $this->deleteJson($this->path('setup?variant=1'))->assertOk()->assertJsonPath('candidate.variants.*.name', ['']);
        self::assertSame($this->price('OAKL.Q', -0.05), $this->stop(1), 'the one that is left moves up');
    }

    public function testAddingAndTakingAwayCanBeUndone(): void
    {
        $this->add('other_side')->assertOk()->assertJsonPath('setup.side', 'short');
        $this->post('/plan/undo')->assertOk();
        // the variant in hand is gone: the one that is left is told
        $this->getJson($this->path('workbench?variant=2'))->assertJsonPath('variant', 1)->assertJsonCount(1, 'candidate.variants');
        $this->post('/plan/redo');
        $this->getJson($this->path('workbench?variant=2'))->assertJsonPath('setup.side', 'short');
    }

    public function testVariantsAreNamedAndBound(): void
    {
        $this->add('longer')->assertOk()->assertJsonPath('eitherOr', false);
        $this->patchJson($this->path('variants?variant=2'), ['name' => 'for weeks', 'either_or' => true])->assertOk()
            ->assertJsonPath('eitherOr', true)->assertJsonPath('candidate.variants.1.name', 'for weeks');
        $this->patchJson($this->path('variants?variant=2'), ['name' => 'shorter hold'])->assertJsonValidationErrors('name');
        $this->patchJson($this->path('variants?variant=2'), ['name' => ' '])->assertJsonValidationErrors('name');
    }

    public function testThereIsAnEndToVariantsAndABeginning(): void
    {
        foreach (['copy', 'copy', 'copy'] as $kind) {
            $this->add($kind)->assertOk();
        }
        $this->add('copy')->assertJsonValidationErrors('variant');
        self::assertSame(['first', 'second', 'second 2', 'second 3'], $this->candidate->setups()->pluck('name')->all());

        $other = $this->candidate('TARN.Q');
        $this->postJson("/plan/mark/{$other->id}/variants", ['kind' => 'copy'])->assertJsonValidationErrors('variant');
        $this->postJson($this->path('variants'), ['kind' => 'sideways'])->assertJsonValidationErrors('kind');
    }

    public function testAVariantThatIsNotCompleteStopsThePublication(): void
    {
        $this->add('copy');
        $this->patchJson($this->path('setup?variant=2'), ['stop' => null])->assertOk();
        $this->postJson('/plan/publish', ['plan' => $this->plan()->id])->assertJsonValidationErrors(['plan' => 'OAKL.Q, second: the setup has no stop yet.']);
    }

    public function testEitherOrIsSealedAsAGroupAndTheFirstFillEndsTheOther(): void
    {
        // the one is filled at the next open, the other waits far below
        $this->patchJson($this->path('setup'), ['legs' => [['kind' => 'market']], 'good_for' => 20]);
        $this->add('copy');
        $this->patchJson($this->path('setup?variant=2'), ['legs' => [['kind' => 'touch', 'price' => $this->price('OAKL.Q', -0.02)]]])->assertOk();
        $edition = $this->publish();
        $sealed = app(EditionReader::class)->document($edition)['candidates'][0]['setups'] ?? [];
        self::assertSame(['1a', '1b'], array_column($sealed, 'key'));
        self::assertSame(['1', '1'], array_column(array_column($sealed, 'rules'), 'group'));

        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 1]);
        $published = PublishedSetup::query()->with('outcome')->orderBy('key')->get();
        self::assertNotNull($published[0]?->outcome?->run['first_fill_at'] ?? null);
        self::assertSame(OutcomeStatus::Cancelled, $published[1]?->outcome?->status);

        $page = $this->get("/editions/{$edition->number}");
        $page->assertInertia(fn (AssertableInertia $page) => $page
            ->where('edition.parts.0.eitherOr', true)
            ->where('edition.parts.0.setups.1.name', 'second')
            ->where('edition.parts.0.setups.1.followed.outcome.events.0.what', static fn (string $what): bool => str_contains($what, 'other')));
        $this->get('/record')->assertInertia(fn (AssertableInertia $page) => $page->where('rows', static fn ($rows): bool => self::items($rows)->pluck('variant')->sort()->values()->all() === ['first', 'second']));
    }

    /** Bars of five minutes are known of three sessions only; an average of twenty is judged on the days before them. */
    public function testAConditionLooksBackOverSessionsOfWhichOnlyTheDayIsKnown(): void
    {
        $this->patchJson($this->path('setup'), ['legs' => [['kind' => 'market']], 'conditions' => [['kind' => 'average_above', 'type' => 'sma', 'period' => '20']]])->assertOk();
        $this->add('copy');
        $this->patchJson($this->path('setup?variant=2'), ['conditions' => [['kind' => 'average_below', 'type' => 'sma', 'period' => '20']]])->assertOk();
        $this->patchJson($this->path('variants'), ['either_or' => false]);
        $this->publish();
        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 1]);

        $filled = PublishedSetup::query()->with('outcome')->get()->filter(static fn (PublishedSetup $one): bool => ($one->outcome?->run['first_fill_at'] ?? null) !== null);
        self::assertCount(1, $filled, 'the close is on one side of it, so one of the two holds');
    }

    public function testIndependentVariantsAreFollowedEachByItself(): void
    {
        $this->patchJson($this->path('setup'), ['legs' => [['kind' => 'market']]]);
        $this->add('longer');
        $sealed = app(EditionReader::class)->document($this->publish())['candidates'][0]['setups'] ?? [];
        self::assertArrayNotHasKey('group', $sealed[0]['rules'] ?? []);

        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 1]);
        foreach (PublishedSetup::query()->with('outcome')->get() as $published) {
            self::assertNotNull($published->outcome?->run['first_fill_at'] ?? null);
        }
    }

    /** @return TestResponse<Response> */
    private function add(string $kind): TestResponse
    {
        return $this->postJson($this->path('variants'), ['kind' => $kind]);
    }

    private function path(string $what): string
    {
        return "/plan/mark/{$this->candidate->id}/{$what}";
    }

    private function stop(int $variant): mixed
    {
        return $this->getJson($this->path("workbench?variant={$variant}"))->json('setup.stop');
    }
}
