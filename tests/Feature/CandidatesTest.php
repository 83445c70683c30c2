<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Candidate;
use Tests\TestCase;
use Tests\World;

final class CandidatesTest extends TestCase
{
    use World;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->author);
    }

    public function testAnInstrumentIsFoundBySymbolOrName(): void
    {
        $this->getJson('/instruments?q=oak')->assertJsonPath('0.symbol', 'OAKL.Q')->assertJsonCount(1);
        $this->getJson('/instruments?q=water')->assertJsonPath('0.symbol', 'TARN.Q');
        $this->getJson('/instruments?q=%25')->assertJsonCount(0);
    }

    public function testAnInstrumentIsAddedOnce(): void
    {
        $id = $this->instrument('OAKL.Q')->id;
        $this->postJson('/plan/candidates', ['instrument' => $id])->assertRedirect();

        $this->postJson('/plan/candidates', ['instrument' => $id])->assertStatus(422)->assertJsonValidationErrors(['instrument' => 'on the list already']);
        $this->postJson('/plan/candidates', ['instrument' => 999])->assertStatus(422);
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->component('Candidates')->has('candidates', 1)->where('candidates.0.state', 'new'));
    }

    public function testACandidateIsPassedOnlyWithAReason(): void
    {
        $candidate = $this->candidate('OAKL.Q');
        $this->patchJson("/plan/candidates/{$candidate->id}", ['state' => 'passed', 'reason' => ' ', 'readers' => 'harbour'])->assertStatus(422)->assertJsonValidationErrors('reason');
        self::assertSame('new', $candidate->refresh()->state->value);

        $this->patchJson("/plan/candidates/{$candidate->id}", ['state' => 'passed', 'reason' => 'Too thin.', 'readers' => 'harbour'])->assertRedirect();
        self::assertSame(['passed', 'Too thin.'], [$candidate->refresh()->state->value, $candidate->reason]);
    }

    public function testNoTradeIsAPlanTooWithWhatWouldChangeIt(): void
    {
        $this->planned('TARN.Q');
        $candidate = $this->candidate('OAKL.Q');
        $url = "/plan/candidates/{$candidate->id}";
        $verdict = ['state' => 'passed', 'reason' => 'Far above its averages.', 'readers' => 'harbour', 'no_trade' => 'do_not_chase'];
        $this->patchJson($url, ['would_change' => 'much', ...$verdict])->assertStatus(422)->assertJsonValidationErrors(['would_change' => 'is not a price']);
        self::assertSame('new', $candidate->refresh()->state->value);

        $this->patchJson($url, ['would_change' => '55.50', ...$verdict])->assertRedirect();
        $said = 'Do not chase: Far above its averages. 55.50 would change that.';
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates.1.verdict', $said));
        $edition = $this->publish();
        self::assertStringContainsString('"no_trade":"do_not_chase"', $edition->document);
        $this->actingAs($this->harbour)->get("/editions/{$edition->number}")->assertInertia(fn ($page) => $page->where('edition.parts.1.verdict', $said));
    }

    public function testTheThesisIsPublishedAndWhatIsEmptyIsNot(): void
    {
        $candidate = $this->planned('TARN.Q');
        $url = "/plan/mark/{$candidate->id}/note";
        $this->patchJson($url, ['wrongAt' => 'low'])->assertStatus(422)->assertJsonValidationErrors(['wrongAt' => 'is not a price']);
        $this->patchJson($url, ['speaksFor' => 'The group leads.', 'conviction' => 4, 'wrongIf' => 'The index loses its shelf', 'wrongAt' => '50.50'])->assertOk()->assertJsonPath('note.wrongAt', '50.50');
        $edition = $this->publish();

        self::assertStringContainsString('"thesis":{"conviction":4,"for":"The group leads.","wrong_at":"50.50","wrong_if":"The index loses its shelf"}', $edition->document);
        $this->actingAs($this->harbour)->get("/editions/{$edition->number}")->assertInertia(fn ($page) => $page->where('edition.parts.0.thesis.conviction', 4)->where('edition.parts.0.thesis.speaksAgainst', ''));
    }

    public function testWhoIsKeptAfterAllIsNoLongerSaidToBeNoTrade(): void
    {
        $candidate = $this->candidate('OAKL.Q');
        $url = "/plan/candidates/{$candidate->id}";
        $this->patchJson($url, ['state' => 'passed', 'reason' => 'Too thin', 'readers' => 'harbour', 'no_trade' => 'watch_only', 'would_change' => '55.50'])->assertRedirect();
        $this->patchJson($url, ['state' => 'kept', 'reason' => '', 'readers' => 'harbour'])->assertRedirect();

        self::assertSame(['pass', null], [$candidate->refresh()->no_trade->value, $candidate->would_change]);
    }

    public function testTheOrderIsTheAuthors(): void
    {
        $ids = array_map(fn (string $symbol): int => $this->candidate($symbol)->id, $this->symbols());
        $order = fn (): array => $this->plan()->candidates()->with('instrument')->get()->map(static fn (Candidate $one): string => $one->instrument->symbol)->all();

        $this->postJson("/plan/candidates/{$ids[2]}/move", ['place' => 0])->assertRedirect();
        self::assertSame(['GRIT.Q', 'OAKL.Q', 'TARN.Q'], $order());
        $this->postJson("/plan/candidates/{$ids[0]}/move", ['place' => 9])->assertRedirect();
        self::assertSame(['GRIT.Q', 'TARN.Q', 'OAKL.Q'], $order());
        $this->deleteJson("/plan/candidates/{$ids[1]}");
        self::assertSame(['GRIT.Q', 'OAKL.Q'], $order());
        $this->candidate('TARN.Q');
        self::assertSame(['GRIT.Q', 'OAKL.Q', 'TARN.Q'], $order());
    }

    public function testSignInRefusesAWrongPasswordAndLimitsTries(): void
    {
        $this->post('/sign-out');
        $this->postJson('/sign-in', ['email' => 'maren@watchpost.test', 'password' => 'wrong'])->assertStatus(422)->assertJsonValidationErrors('email');
        for ($i = 0; $i < 9; ++$i) {
            $this->postJson('/sign-in', ['email' => 'maren@watchpost.test', 'password' => 'wrong']);
        }
        $this->postJson('/sign-in', ['email' => 'maren@watchpost.test', 'password' => 'lantern'])->assertStatus(429);
        $this->postJson('/sign-in', ['email' => 'ines@watchpost.test', 'password' => 'lantern'])->assertRedirect('/');
    }
}
