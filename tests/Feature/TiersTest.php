<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Clock\MarketClock;
use App\Enums\Role;
use App\Enums\Sees;
use App\Models\Edition;
use App\Models\Tier;
use App\Models\User;
use App\Subscribers\Tiers;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\TestCase;
use Tests\World;

/** What each tier is shown, as the author defines it; what is withheld is searched for in everything the server gives. */
final class TiersTest extends TestCase
{
    use World;

    /** Everything that tells of an edition without being told to whom. */
    private const PLACES = ['/editions', '/editions/1', '/editions/1/markdown', '/editions/1/setups', '/record'];

    public function testVisitorsReadTheHeadlineAndNothingOfThePlan(): void
    {
        $this->published();
        $entry = $this->price('OAKL.Q', 0.005);
        foreach (self::PLACES as $place) {
            $text = $this->text(null, $place);
            self::assertStringNotContainsString($entry, $text, $place);
            self::assertStringNotContainsString('The group leads.', $text, $place);
            self::assertStringNotContainsString('GRIT.Q', $text, $place);
        }
        $this->get('/editions/1')->assertInertia(fn ($page) => $page
            ->where('edition.parts.0.symbol', 'OAKL.Q')
            ->where('edition.parts.0.sides', ['long'])
            ->where('edition.parts.0.fullFor', 'Harbour')
            ->where('edition.parts.0.setups', [])
            ->where('edition.parts.0.levels', [])
            ->loadDeferredProps(fn ($page) => $page->where('charts', []))
            ->where('edition.withheldNote', '1 more for Pilot readers.'));
        $this->get('/')->assertRedirect('/editions');
    }

    public function testATierThatSeesLevelsIsShownThemAndNoPriceOfThePlan(): void
    {
        Tier::query()->where('key', Tier::VISITORS)->update(['sees' => Sees::Levels]);
        $this->published();
        $this->get('/editions/1')->assertInertia(fn ($page) => $page
            ->where('edition.parts.0.levels.0.origin', 'swing low')
            ->loadDeferredProps(fn ($page) => $page->has('charts', 1))
            ->where('edition.parts.0.setups', []));
        self::assertStringNotContainsString($this->price('OAKL.Q', 0.005), $this->text(null, '/editions/1/markdown'));
    }

    public function testATierThatSeesNothingIsToldHowMuchThereIs(): void
    {
        Tier::query()->where('key', Tier::VISITORS)->update(['sees' => Sees::Nothing]);
        $this->published();
        foreach (self::PLACES as $place) {
            self::assertStringNotContainsString('OAKL.Q', $this->text(null, $place), $place);
        }
        $this->get('/editions/1')->assertInertia(fn ($page) => $page->where('edition.parts', [])->where('edition.withheldNote', '1 more for Harbour readers, 1 more for Pilot readers.'));
    }

    public function testAfterItsDelayAnEditionIsOpenToTheTier(): void
    {
        Tier::query()->where('key', Tier::VISITORS)->update(['opens_after_hours' => 48]);
        Tier::query()->where('key', 'harbour')->update(['opens_after_hours' => 24]);
        $this->published();
        $this->at('2024-11-21T17:59:59Z');
        $this->actingAs($this->harbour)->get('/editions/1')->assertInertia(fn ($page) => $page->has('edition.parts', 1)->where('edition.readsAll', false));
        $this->get('/editions/1/document')->assertForbidden();
        $this->at('2024-11-21T18:00:00Z');
        $this->actingAs($this->harbour)->get('/editions/1')->assertInertia(fn ($page) => $page->has('edition.parts', 2)->where('edition.readsAll', true));
        $this->app->make('auth')->forgetGuards();
        $this->get('/editions/1/document')->assertForbidden();
        $this->at('2024-11-22T18:00:00Z');
        $this->get('/editions/1/document')->assertOk()->assertContent(Edition::query()->sole()->document);
        $this->get('/editions/1/verify')->assertOk();
    }

    public function testTheRecordIsOpenToVisitorsOnceASetupIsOver(): void
    {
        $this->published();
        $this->get('/record')->assertInertia(fn ($page) => $page->has('rows', 0)->where('withheld', 2));
        $this->actingAs($this->author)->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 8]);
        $this->app->make('auth')->forgetGuards();
        $this->get('/record')->assertOk()->assertInertia(fn ($page) => $page->where('rows', fn ($rows): bool => count($rows) > 0));
    }

    public function testTheAuthorNamesTiersAndSaysWhatTheySee(): void
    {
        $this->actingAs($this->author);
        $this->post('/subscribers/tiers', ['name' => 'Mate', 'after' => 'harbour', 'sees' => 'levels', 'opens_after_hours' => 12])->assertSessionHasNoErrors();
        app(Tiers::class)->forget();
        self::assertSame(['visitors', 'harbour', 'mate', 'pilot'], app(Tiers::class)->all()->pluck('key')->all());
        $mate = Tier::query()->where('key', 'mate')->firstOrFail();
        $this->patch("/subscribers/tiers/{$mate->id}", ['name' => 'First mate', 'sees' => 'full', 'opens_after_hours' => null])->assertSessionHasNoErrors();
        self::assertSame(['mate', 'First mate', Sees::Full, null], [$mate->refresh()->key, $mate->name, $mate->sees, $mate->opens_after_hours]);
        $this->patch("/subscribers/tiers/{$mate->id}", ['name' => 'Pilot', 'sees' => 'full', 'opens_after_hours' => null])->assertSessionHasErrors('name');
        $this->delete("/subscribers/tiers/{$mate->id}")->assertSessionHasNoErrors();
        self::assertSame(0, Tier::query()->where('key', 'mate')->count());
    }

    public function testATierInUseIsNotRemoved(): void
    {
        $this->published();
        $this->actingAs($this->author);
        foreach (Tier::query()->get() as $tier) {
            $this->delete("/subscribers/tiers/{$tier->id}")->assertSessionHasErrors('tier');
        }
        self::assertSame(3, Tier::query()->count());
    }

    public function testAMemberOfANewTierReadsAsItSays(): void
    {
        $this->actingAs($this->author)->post('/subscribers/tiers', ['name' => 'Mate', 'after' => 'harbour', 'sees' => 'headline', 'opens_after_hours' => null]);
        app(Tiers::class)->forget();
        $mate = $this->person('mate', Role::Subscriber, 'mate');
        $this->published();
        self::assertStringNotContainsString($this->price('OAKL.Q', 0.005), $this->text($mate, '/editions/1'));
        self::assertStringContainsString($this->price('OAKL.Q', 0.005), $this->text($this->harbour, '/editions/1'));
    }

    private function published(): void
    {
        $candidate = $this->planned('OAKL.Q');
        $candidate->update(['speaks_for' => 'The group leads.']);
        $this->actingAs($this->author)->postJson("/plan/mark/{$candidate->id}/levels", ['price' => $this->price('OAKL.Q', -0.02), 'origin' => 'swing low', 'grade' => 'major'])->assertOk();
        $this->planned('GRIT.Q', readers: 'pilot');
        $this->publish();
        $this->app->make('auth')->forgetGuards();
    }

    private function text(?User $reader, string $place): string
    {
        $reader === null ? $this->app->make('auth')->forgetGuards() : $this->actingAs($reader);
        $response = $this->get($place)->assertOk();

        return (string) ($response->baseResponse instanceof StreamedResponse ? $response->streamedContent() : $response->getContent());
    }

    private function at(string $moment): void
    {
        app(MarketClock::class)->moveTo((int) strtotime($moment));
    }
}
