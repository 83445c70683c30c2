<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Attachment;
use App\Planning\CurrentPlan;
use App\Publishing\EditionReader;
use App\Publishing\Spelling;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Tests\Played;
use Tests\TestCase;
use Tests\World;

/** The texts of a plan: Markdown, what they name, pictures, and those that must be there. */
final class TextsTest extends TestCase
{
    use Played;
    use World;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->author);
    }

    public function testWhatATextNamesIsAlwaysTheNumberThatIsPublished(): void
    {
        $this->planned('OAKL.Q');
        $this->write('We risk {OAKL.Q risk} below {OAKL.Q stop}, for **{OAKL.Q target 1}**. {OAKL.Q setup}.');
        $candidate = $this->plan()->candidates()->firstOrFail();
        $this->patchJson("/plan/mark/{$candidate->id}/setup", ['stop' => $this->price('OAKL.Q', -0.04)])->assertOk();
        $stop = $this->price('OAKL.Q', -0.04);
        $this->get('/plan/publish')->assertInertia(fn ($page) => $page->where('edition.texts.0.html', fn (string $html): bool => str_contains($html, "below {$stop}") && str_contains($html, "<strong>{$this->price('OAKL.Q', 0.05)}</strong>")));
        $part = app(EditionReader::class)->document($this->publish())['parts'][0] ?? null;

        self::assertSame($stop, $part['values']['OAKL.Q stop'] ?? null);
        $this->get('/editions/1/markdown')->assertSee("below {$stop}");
    }

    public function testAResultThatIsNamedIsTheOneOfToday(): void
    {
        $this->planned('OAKL.Q', entry: -0.02, stop: -0.04, target: 0.03);
        $this->publish();
        $this->planned('TARN.Q');
        $this->write('So far {edition 1/1 result}; the record: {record realised}.');
        $this->publish();
        $this->get('/editions/2')->assertInertia(fn ($page) => $page->where('edition.texts.0.html', fn (string $html): bool => str_contains($html, 'So far waiting; the record: nothing closed.')));
        $this->play([[1.0, 1.0, 0.975, 0.99], [0.99, 1.04, 0.985, 1.03]]);
        $this->get('/editions/2')->assertInertia(fn ($page) => $page->where('edition.texts.0.html', fn (string $html): bool => preg_match('/So far \+2\.\d\d R; the record: \+2\.\d\d R/', $html) === 1));
    }

    public function testWhatIsWithheldIsWithheldInTheTextsToo(): void
    {
        $this->planned('OAKL.Q');
        $this->planned('GRIT.Q', readers: 'pilot');
        $this->write('Two today: {OAKL.Q stop} and {GRIT.Q stop}.');
        $this->publish();
        $stop = $this->price('GRIT.Q', -0.03);
        foreach (['/editions/1', '/editions/1/markdown'] as $place) {
            $this->actingAs($this->harbour)->get($place)->assertSee('(for Pilot readers)', false)->assertDontSee($stop)->assertDontSee('GRIT.Q');
            $this->actingAs($this->pilot)->get($place)->assertSee($stop);
            // a visitor sees headlines of setups only, but a text for everyone is for them too
            $this->app->make('auth')->forgetGuards();
            $this->get($place)->assertSee('Two today: (for Harbour readers) and (for Pilot readers).', false)->assertDontSee($stop)->assertDontSee($this->price('OAKL.Q', -0.03));
        }
    }

    public function testATextCanBeForSomeReadersOnlyButNotADisclaimer(): void
    {
        $this->planned('OAKL.Q');
        $this->write('For members.');
        $id = $this->plan()->parts[0]['id'];
        $this->patch("/plan/parts/{$id}", ['readers' => 'pilot'])->assertSessionHasNoErrors();
        $this->publish();
        $this->actingAs($this->harbour)->get('/editions/1')->assertDontSee('For members.')->assertSee('This is teaching, not advice.');
        $this->actingAs($this->pilot)->get('/editions/1')->assertSee('For members.');
    }

    public function testANameThatIsNothingStopsAndASymbolThatIsNoneWarns(): void
    {
        $this->planned('OAKL.Q');
        $this->write('See {OAKL.Q target 7} and {edition 9/1 result}; also OAKK.Q and TARN.Q.');
        $lines = [];
        $this->get('/plan/publish')->assertInertia(function ($page) use (&$lines): void {
            $lines = array_filter($page->toArray()['props']['check'], static fn (array $line): bool => $line['place'] === 'words');
        });

        self::assertSame([
            [true, '"The session ahead" names {OAKL.Q target 7}, which is nothing in this plan or in the record.'],
            [true, '"The session ahead" names {edition 9/1 result}, which is nothing in this plan or in the record.'],
            [false, '"The session ahead" says OAKK.Q, which is no symbol known here: was OAKL.Q meant?'],
        ], array_values(array_map(static fn (array $line): array => [$line['stops'], $line['message']], $lines)));
        $this->postJson('/plan/publish', ['plan' => $this->plan()->id])->assertStatus(422);
    }

    public function testWhatTheAuthorRequiresMustBeThere(): void
    {
        $this->planned('OAKL.Q');
        $disclaimer = array_column($this->plan()->parts, 'id', 'role')['disclaimer'];
        $this->patch("/plan/parts/{$disclaimer}", ['text' => '']);
        $this->postJson('/plan/publish', ['plan' => $this->plan()->id])->assertJsonValidationErrors(['plan' => '"Disclaimer" is empty: your settings require it of every edition.']);
        $this->patch('/settings/parts', ['titles' => ['daily' => [['title' => 'Today', 'place' => 'after']]], 'disclaimer' => 'Mind the risk.', 'required' => ['holdings']])->assertSessionHasNoErrors();
        $this->postJson('/plan/publish', ['plan' => $this->plan()->id])->assertJsonValidationErrors(['plan' => '"What the author holds" is empty: your settings require it of every edition.']);
        $this->post('/plan/drafts', ['kind' => 'daily']);
        self::assertSame(['Today', 'What the author holds'], array_column(app(CurrentPlan::class)->of($this->author->refresh())->parts, 'title'));
    }

    public function testTextsAreOrderedRemovedAndBroughtBack(): void
    {
        $this->post('/plan/parts', ['title' => 'Levels', 'role' => 'text', 'place' => 'after'])->assertSessionHasNoErrors();
        self::assertSame(['The session ahead', 'Disclaimer', 'Levels'], array_column($this->plan()->parts, 'title'));
        $id = $this->plan()->parts[2]['id'];
        $this->post("/plan/parts/{$id}/move", ['by' => -2]);
        self::assertSame('Levels', $this->plan()->parts[0]['title']);
        $this->delete("/plan/parts/{$id}");
        $this->postJson('/plan/undo')->assertJson(['message' => 'Undone: remove the text Levels.']);
        self::assertSame(['Levels', 'The session ahead', 'Disclaimer'], array_column($this->plan()->parts, 'title'));
        $this->post('/plan/parts', ['title' => ' ', 'role' => 'text', 'place' => 'after'])->assertSessionHasErrors('title');
    }

    public function testATextThatTwoPeopleChangeIsRefusedWithBothViews(): void
    {
        $id = $this->plan()->parts[0]['id'];
        $this->actingAs($this->assistant)->patch("/plan/parts/{$id}", ['text' => 'Theirs.', 'was' => ''])->assertSessionHasNoErrors();
        $this->actingAs($this->author)->patchJson("/plan/parts/{$id}", ['text' => 'Mine.', 'was' => ''])->assertStatus(422)->assertJsonPath('errors.theirs.0', 'Theirs.');
        self::assertSame('Theirs.', $this->plan()->parts[0]['text']);
        $this->patch("/plan/parts/{$id}", ['text' => 'Theirs. Mine.', 'was' => 'Theirs.'])->assertSessionHasNoErrors();
        self::assertSame('Theirs. Mine.', $this->plan()->parts[0]['text']);
        $this->actingAs($this->assistant)->patch('/plan/bias', ['bias' => 'Up.', 'was' => '']);
        $this->actingAs($this->author)->patchJson('/plan/bias', ['bias' => 'Down.', 'was' => ''])->assertStatus(422)->assertJsonPath('errors.theirs.0', 'Up.');
    }

    public function testAPictureIsSealedByItsFingerprintAndShownToThoseWhoReadIt(): void
    {
        Storage::fake('local');
        $this->planned('OAKL.Q');
        $answer = $this->postJson('/plan/images', ['image' => UploadedFile::fake()->image('tide.png', 8, 8)])->assertCreated();
        $hash = Attachment::query()->sole()->hash;
        self::assertSame("![tide.png](image:{$hash})", $answer->json('markdown'));
        $this->write("See:\n\n![tide.png](image:{$hash})");
        $this->patch("/plan/parts/{$this->plan()->parts[0]['id']}", ['readers' => 'harbour']);
        $this->get("/plan/images/{$hash}")->assertOk();
        $this->publish();
        $this->actingAs($this->harbour)->get('/editions/1')->assertInertia(fn ($page) => $page->where('edition.texts.0.html', fn (string $html): bool => str_contains($html, "<img src=\"/editions/1/images/{$hash}\"")));
        $this->get("/editions/1/images/{$hash}")->assertOk()->assertHeader('Content-Type', 'image/png');
        $this->app->make('auth')->forgetGuards();
        $this->get("/editions/1/images/{$hash}")->assertNotFound();
        $this->actingAs($this->author)->postJson('/plan/images', ['image' => UploadedFile::fake()->create('x.svg', 1, 'image/svg+xml')])->assertStatus(422);
    }

    public function testMarkupInATextIsShownAndNeverRun(): void
    {
        $this->planned('OAKL.Q');
        $this->write("<script>alert(1)</script>\n\nSee [here](javascript:alert(1)).");
        $this->get('/plan/publish')->assertInertia(fn ($page) => $page->where('edition.texts.0.html', fn (string $html): bool => ! str_contains($html, '<script') && ! str_contains($html, 'href="javascript:')));
    }

    public function testStalePricesStop(): void
    {
        $this->planned('OAKL.Q');
        DB::table('bars')->where('instrument_id', $this->instrument('OAKL.Q')->id)->where('session', '2024-11-20')->delete();
        $this->get('/plan/publish')->assertInertia(fn ($page) => $page->where('check.0.stops', true)->where('check.0.message', 'OAKL.Q: its prices are stale: the last are of Tue 19 Nov 2024, and those of Wed 20 Nov 2024 are missing.'));
    }

    public function testWhatCanBeNamedIsOfferedWithWhatItSays(): void
    {
        $this->planned('OAKL.Q');
        $offers = array_column($this->getJson('/plan/references')->assertOk()->json(), 'says', 'name');
        self::assertSame($this->price('OAKL.Q', -0.03), $offers['OAKL.Q stop']);
        self::assertSame('0', $offers['record published']);
    }

    public function testAMisspeltNameFindsTheNearestOneOrNone(): void
    {
        self::assertSame('OAKL.Q', Spelling::nearest('OKAL.Q', ['TARN.Q', 'OAKL.Q']));
        self::assertNull(Spelling::nearest('XYZABC.Q', ['TARN.Q', 'OAKL.Q']));
    }

    private function write(string $text): void
    {
        $plan = $this->plan();
        $this->patch("/plan/parts/{$plan->parts[0]['id']}", ['text' => $text])->assertSessionHasNoErrors();
    }
}
