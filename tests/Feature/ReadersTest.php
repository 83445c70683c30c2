<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Enums\CandidateState;
use App\Enums\RequestState;
use App\Enums\Role;
use App\Models\Follow;
use App\Models\MailboxMessage;
use App\Models\SymbolRequest;
use Tests\Played;
use Tests\TestCase;
use Tests\World;

/** What readers follow, what changed since they looked, what they find and ask for. */
final class ReadersTest extends TestCase
{
    use Played;
    use World;

    public function testAReaderFollowsASetup(): void
    {
        $this->published();
        $this->actingAs($this->harbour)->post('/editions/1/setups/1/follow', ['on' => true])->assertSessionHasNoErrors();
        $this->post('/editions/1/setups/1/follow', ['on' => true]);
        $this->get('/editions/1')->assertInertia(fn ($page) => $page->where('follows', ['1']));
        $this->get('/editions')->assertInertia(fn ($page) => $page->has('followed', 1)->where('followed.0.symbol', 'OAKL.Q')->where('followed.0.outcome.status', 'waiting'));
        $this->actingAs($this->pilot)->get('/editions/1')->assertInertia(fn ($page) => $page->where('follows', []));
        $this->actingAs($this->harbour)->post('/editions/1/setups/1/follow', ['on' => false]);
        self::assertSame(0, Follow::query()->count());
    }

    public function testWhatIsWithheldCannotBeFollowed(): void
    {
        $this->published();
        $this->actingAs($this->harbour)->post('/editions/1/setups/2/follow', ['on' => true])->assertNotFound();
        self::assertSame(0, Follow::query()->count());
    }

    public function testWhatChangedSinceTheReaderLookedIsToldAndWhatTheyFollowComesFirst(): void
    {
        $this->published();
        $this->actingAs($this->harbour)->post('/editions/1/setups/1/follow', ['on' => true]);
        $this->post('/seen');
        $this->get('/editions')->assertInertia(fn ($page) => $page->where('changes', []));
        $this->play([[1.0, 1.0, 0.975, 0.99]], '2024-11-21T09:35:00Z');
        $this->actingAs($this->author)->post('/plan/review/2/updates', ['kind' => 'note', 'text' => 'For Pilot readers.']);
        $this->actingAs($this->author)->post('/plan/review/1/updates', ['kind' => 'note', 'text' => 'Filled.']);
        $this->actingAs($this->harbour)->get('/editions')->assertInertia(fn ($page) => $page
            ->where('changes', fn ($changes): bool => array_map(static fn (array $one): array => [$one['what'], $one['isFollowed']], [...$changes]) === [['OAKL.Q: note', true], ["OAKL.Q: filled at {$this->at(0.98)}", true]]));
        $this->actingAs($this->pilot)->get('/editions')->assertInertia(fn ($page) => $page->where('changes', fn ($changes): bool => in_array('GRIT.Q: note', array_column([...$changes], 'what'), true)));
    }

    public function testTheArchiveIsSearchedInWhatTheReaderReads(): void
    {
        $this->published();
        $this->planned('TARN.Q');
        $this->publish();
        foreach (['oakl' => [1], 'tarn' => [2], 'GRIT.Q' => [], 'long when' => [1], 'break' => [2], 'nothing like it' => []] as $words => $numbers) {
            $this->actingAs($this->harbour)->get('/editions?q='.urlencode((string) $words))->assertInertia(fn ($page) => $page->where('query', $words)->where('editions', fn ($found): bool => array_column([...$found], 'number') === $numbers));
        }
        $this->actingAs($this->pilot)->get('/editions?q=GRIT.Q')->assertInertia(fn ($page) => $page->where('editions.0.number', 1));
        $this->app->make('auth')->forgetGuards();
        $this->get('/editions?q=long+when')->assertInertia(fn ($page) => $page->where('editions', []));
    }

    public function testEqualWishesAreOneRequestAndTheHighestTierComesFirst(): void
    {
        $other = $this->person('edda', Role::Subscriber, 'harbour');
        $this->actingAs($this->harbour)->post('/requests', ['symbol' => 'tarn', 'note' => ''])->assertSessionHasNoErrors();
        $this->actingAs($other)->post('/requests', ['symbol' => 'TARN.Q', 'note' => 'Please.'])->assertSessionHasNoErrors();
        $this->post('/requests', ['symbol' => 'TARN.Q', 'note' => ''])->assertSessionHasErrors('symbol');
        $this->post('/requests', ['symbol' => 'NONE.Q', 'note' => ''])->assertSessionHasErrors(['symbol' => '"NONE.Q" is no symbol known here.']);
        $this->actingAs($this->pilot)->post('/requests', ['symbol' => 'GRIT.Q', 'note' => '']);
        $this->actingAs($this->author)->get('/plan/candidates')->assertInertia(fn ($page) => $page
            ->where('requests', fn ($requests): bool => array_column([...$requests], 'symbol') === ['GRIT.Q', 'TARN.Q'])
            ->has('requests.1.askers', 2)
            ->where('requests.1.askers.1.note', 'Please.'));
    }

    public function testNobodyHasMoreThanAFewThatWait(): void
    {
        config(['watchpost.requests.most_waiting' => 2]);
        $this->actingAs($this->harbour);
        $this->post('/requests', ['symbol' => 'TARN.Q', 'note' => '']);
        $this->post('/requests', ['symbol' => 'GRIT.Q', 'note' => '']);
        $this->post('/requests', ['symbol' => 'OAKL.Q', 'note' => ''])->assertSessionHasErrors('symbol');
        $this->delete('/requests/'.SymbolRequest::query()->firstOrFail()->id);
        $this->post('/requests', ['symbol' => 'OAKL.Q', 'note' => ''])->assertSessionHasNoErrors();
        self::assertSame(2, SymbolRequest::query()->count());
    }

    public function testARequestBecomesACandidateAndWhoAskedIsToldWhenAnEditionAnswersIt(): void
    {
        $this->actingAs($this->harbour)->post('/requests', ['symbol' => 'TARN.Q', 'note' => '']);
        $request = SymbolRequest::query()->sole();
        $this->actingAs($this->author)->post("/plan/requests/{$request->id}/take")->assertSessionHasNoErrors();
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates.0.instrument.symbol', 'TARN.Q')->where('candidates.0.from', 'asked for, one reader')->where('requests.0.state', 'taken'));
        $candidate = $this->plan()->candidates()->firstOrFail();
        $this->patch("/plan/candidates/{$candidate->id}", ['state' => 'passed', 'reason' => 'No level near.', 'readers' => 'visitors']);
        self::assertSame(CandidateState::Passed, $candidate->refresh()->state);
        $this->planned('OAKL.Q');
        $this->publish();

        self::assertSame([RequestState::Answered, 1], [$request->refresh()->state, $request->edition?->number]);
        self::assertSame(['TARN.Q: your request is answered'], MailboxMessage::query()->where('to', 'jonas@watchpost.test')->where('subject', 'like', 'TARN%')->pluck('subject')->all());
        $this->actingAs($this->harbour)->get('/editions')->assertInertia(fn ($page) => $page->where('requests.0.state', 'answered')->where('requests.0.edition', 1));
    }

    public function testADeclineNeedsAReasonThatIsTold(): void
    {
        $this->actingAs($this->harbour)->post('/requests', ['symbol' => 'TARN.Q', 'note' => '']);
        $request = SymbolRequest::query()->sole();
        $this->actingAs($this->author)->post("/plan/requests/{$request->id}/decline", ['reason' => ' '])->assertSessionHasErrors('reason');
        $this->post("/plan/requests/{$request->id}/decline", ['reason' => 'Too thin.'])->assertSessionHasNoErrors();
        self::assertSame(RequestState::Declined, $request->refresh()->state);
        self::assertStringContainsString('Too thin.', MailboxMessage::query()->sole()->text);
        // declined, it can be asked for again
        $this->actingAs($this->harbour)->post('/requests', ['symbol' => 'TARN.Q', 'note' => ''])->assertSessionHasNoErrors();
    }

    public function testThemesAndStandingAreOnTheBoardAndThemesInTheEdition(): void
    {
        $near = $this->planned('OAKL.Q', entry: 0.001, stop: -0.03);
        $far = $this->planned('TARN.Q', entry: -0.2, stop: -0.3);
        $this->actingAs($this->author);
        $this->patch("/plan/candidates/{$near->id}", ['state' => 'kept', 'reason' => '', 'readers' => 'visitors', 'theme' => ' Machines that lead '])->assertSessionHasNoErrors();
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page
            ->where('candidates.0.theme', 'Machines that lead')
            ->where('candidates.0.standing', fn (string $said): bool => str_starts_with($said, 'near, entry 0.'))
            ->where('candidates.1.standing', fn (string $said): bool => str_starts_with($said, 'not yet, entry ')));
        $this->patch("/plan/candidates/{$far->id}", ['state' => 'kept', 'reason' => '', 'readers' => 'visitors']);
        $this->publish();
        $this->get('/editions/1')->assertInertia(fn ($page) => $page->where('edition.parts.0.theme', 'Machines that lead')->where('edition.parts.1.theme', ''));
    }

    private function published(): void
    {
        $this->planned('OAKL.Q', entry: -0.02, stop: -0.04, target: 0.03);
        $this->planned('GRIT.Q', entry: -0.3, stop: -0.4, target: 0.1, readers: 'pilot');
        $this->publish();
    }
}
