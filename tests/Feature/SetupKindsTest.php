<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Enums\Role;
use App\Models\Candidate;
use App\Models\SetupKind;
use App\Publishing\EditionReader;
use Illuminate\Http\Response;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;
use Tests\World;

final class SetupKindsTest extends TestCase
{
    use World;

    private const LINES = [['kind' => 'reward_min', 'value' => '1'], ['kind' => 'rsi_max', 'value' => '0'], ['kind' => 'own', 'value' => 'Seen on the week chart']];

    private Candidate $candidate;

    protected function setUp(): void
    {
        parent::setUp();
        $this->candidate = $this->planned('OAKL.Q');
        $this->actingAs($this->author);
    }

    public function testAKindIsKeptAndAppliedAtAnotherLevel(): void
    {
        $kind = $this->kept();
        $other = $this->candidate('TARN.Q');
        $this->postJson("/plan/mark/{$other->id}/kinds/{$kind->id}/apply")->assertJsonValidationErrors(['kind' => 'Choose the level']);

        $price = $this->price('TARN.Q', 0.01);
        $this->postJson("/plan/mark/{$other->id}/kinds/{$kind->id}/apply", ['price' => $price])->assertOk()
            ->assertJsonPath('setup.kind', $kind->id)
            ->assertJsonPath('setup.legs.0.price', $price)
            ->assertJsonPath('setup.legs.0.kind', 'break')
            ->assertJsonPath('setup.missing', [])
            ->assertJsonPath('setup.checklist.of', 3);
        $this->postJson('/plan/undo')->assertOk();
        $this->getJson("/plan/mark/{$other->id}/workbench")->assertJsonPath('setup.begun', false);
    }

    public function testItsLinesAreJudgedOrTicked(): void
    {
        $kind = $this->kept();
        $this->postJson($this->path("kinds/{$kind->id}/apply"))->assertOk()
            ->assertJsonPath('setup.checklist.met', 1)
            ->assertJsonPath('setup.checklist.lines.0.standing', 'met')
            ->assertJsonPath('setup.checklist.lines.1.standing', 'not_yet')
            ->assertJsonPath('setup.checklist.lines.2.judged', false);
        $this->patchJson($this->path('checklist'), ['line' => 'Seen on the week chart', 'ticked' => true])->assertOk()->assertJsonPath('setup.checklist.met', 2);
        $this->patchJson($this->path('checklist'), ['line' => 'Seen on the week chart', 'ticked' => false])->assertOk()->assertJsonPath('setup.checklist.met', 1);
    }

    public function testWhatDoesNotFitIsRefusedAtItsLine(): void
    {
        $this->keep(['name' => ''])->assertJsonValidationErrors('name');
        $this->keep(['checklist' => [['kind' => 'own', 'value' => ' ']]])->assertJsonValidationErrors('checklist.0.value');
        $this->keep(['checklist' => [['kind' => 'sma_above', 'value' => 'long']]])->assertJsonValidationErrors('checklist.0.value');
        $this->kept();
        $this->keep()->assertJsonValidationErrors(['name' => 'already']);
        $blank = $this->candidate('TARN.Q');
        $this->postJson("/plan/mark/{$blank->id}/kinds", ['name' => 'x', 'checklist' => [], 'defaults' => true])->assertJsonValidationErrors('template');
    }

    public function testAKindIsChangedAndLaidAsideAndItsSetupsKeepItsName(): void
    {
        $kind = $this->kept();
        $this->postJson($this->path("kinds/{$kind->id}/apply"));
        $this->patchJson($this->path("kinds/{$kind->id}"), ['name' => 'Range break', 'checklist' => []])->assertOk()->assertJsonPath('kinds.0.name', 'Range break')->assertJsonPath('kinds.0.hasDefaults', true);
        $this->deleteJson($this->path("kinds/{$kind->id}"))->assertOk()->assertJsonPath('kinds', [])->assertJsonPath('setup.kind', $kind->id);

        $setup = app(EditionReader::class)->document($this->publish())['candidates'][0]['setups'][0] ?? [];
        self::assertSame('Range break', $setup['kind'] ?? null);
    }

    public function testItIsPublishedAsItStandsAndTheRecordIsCutByIt(): void
    {
        $kind = $this->kept();
        $this->postJson($this->path("kinds/{$kind->id}/apply"));
        $this->planned('TARN.Q');
        $edition = $this->publish();

        $this->actingAs($this->harbour)->get("/editions/{$edition->number}")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('edition.parts.0.setups.0.kind', 'Break of a range')
            ->where('edition.parts.0.setups.0.lines', static fn ($lines): bool => str_starts_with(self::items($lines)->first(), 'Long on a break') && str_starts_with(self::items($lines)->last(), 'Good until'))
            ->where('edition.parts.0.setups.0.checklist.0.standing', 'met')
            ->where('edition.parts.0.setups.0.checklist.2.value', ''));
        $this->get('/record')->assertInertia(fn (AssertableInertia $page) => $page->count('rows', 2)->where('kinds', ['Break of a range']));
        $this->get('/record?kind=Break+of+a+range')->assertInertia(fn (AssertableInertia $page) => $page->count('rows', 1)->where('rows.0.symbol', 'OAKL.Q')->where('totals.published', 1));
        $this->get('/record?kind=nothing')->assertInertia(fn (AssertableInertia $page) => $page->count('rows', 0));
    }

    public function testOnlyTheFirstVariantCountsWhenAsked(): void
    {
        $this->postJson($this->path('variants'), ['kind' => 'patient']);
        $this->publish();
        $this->get('/record')->assertInertia(fn (AssertableInertia $page) => $page->count('rows', 2));
        $this->get('/record?first=1')->assertInertia(fn (AssertableInertia $page) => $page->count('rows', 1)->where('rows.0.key', '1a'));
    }

    public function testAnotherAuthorsKindIsOutOfReach(): void
    {
        $kind = SetupKind::query()->create(['author_id' => $this->person('odd', Role::Author)->id, 'name' => 'theirs']);
        $this->postJson($this->path("kinds/{$kind->id}/apply"))->assertForbidden();
        $this->patchJson($this->path("kinds/{$kind->id}"), ['name' => 'mine', 'checklist' => []])->assertForbidden();
        $this->getJson($this->path('workbench'))->assertJsonPath('kinds', []);
    }

    private function kept(): SetupKind
    {
        $this->keep()->assertOk()->assertJsonPath('kinds.0.name', 'Break of a range');

        return SetupKind::query()->firstOrFail();
    }

    /**
     * @param array<string, mixed> $change
     *
     * @return TestResponse<Response>
     */
    private function keep(array $change = []): TestResponse
    {
        return $this->postJson($this->path('kinds'), $change + ['name' => 'Break of a range', 'checklist' => self::LINES, 'defaults' => true]);
    }

    private function path(string $what): string
    {
        return "/plan/mark/{$this->candidate->id}/{$what}";
    }
}
