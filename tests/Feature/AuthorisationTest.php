<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Enums\RehearsalScope;
use App\Enums\RequestState;
use App\Enums\Role;
use App\Enums\RunState;
use App\Models\Delivery;
use App\Models\Import;
use App\Models\Level;
use App\Models\MarketEvent;
use App\Models\MarketRun;
use App\Models\Rehearsal;
use App\Models\SetupKind;
use App\Models\SymbolRequest;
use App\Models\User;
use Illuminate\Support\Facades\Route as Routes;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Rehearsal\LevelRule;
use Watchpost\Core\Rehearsal\Rule;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\RelativeDraft;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

/** Every route, by every role. */
final class AuthorisationTest extends TestCase
{
    use World;

    /** What visitor, harbour, pilot, assistant and author get: "in" for anything but a refusal. */
    private const TABLE = [
        'GET sign-in' => ['in', 'home', 'home', 'home', 'home'],
        'POST sign-in' => ['in', 'home', 'home', 'home', 'home'],
        'GET /' => ['in', 'in', 'in', 'in', 'in'],
        'POST sign-out' => ['sign-in', 'in', 'in', 'in', 'in'],
        'GET password' => ['in', 'home', 'home', 'home', 'home'],
        'POST password' => ['in', 'home', 'home', 'home', 'home'],
        'GET password/{token}' => ['in', 'home', 'home', 'home', 'home'],
        'POST password/{token}' => ['in', 'home', 'home', 'home', 'home'],
        'GET invitations/{token}' => ['in', 'home', 'home', 'home', 'home'],
        'POST invitations/{token}' => ['in', 'home', 'home', 'home', 'home'],
        'GET unsubscribe/{user}' => ['no', 'no', 'no', 'no', 'no'],
        'POST unsubscribe/{user}' => ['no', 'no', 'no', 'no', 'no'],
        'GET mailbox' => ['in', 'in', 'in', 'in', 'in'],
        'GET mailbox/{mail}' => ['in', 'in', 'in', 'in', 'in'],
        'GET sink' => ['in', 'in', 'in', 'in', 'in'],
        'GET settings' => ['sign-in', 'in', 'in', 'in', 'in'],
        'PATCH settings/deliveries' => ['sign-in', 'in', 'in', 'in', 'in'],
        'PATCH settings/password' => ['sign-in', 'in', 'in', 'in', 'in'],
        'POST settings/sign-out-elsewhere' => ['sign-in', 'in', 'in', 'in', 'in'],
        'DELETE settings' => ['sign-in', 'in', 'in', 'no', 'no'],
        'GET subscribers' => ['sign-in', 'no', 'no', 'no', 'in'],
        'POST subscribers/tiers' => ['sign-in', 'no', 'no', 'no', 'in'],
        'PATCH subscribers/tiers/{tier}' => ['sign-in', 'no', 'no', 'no', 'in'],
        'DELETE subscribers/tiers/{tier}' => ['sign-in', 'no', 'no', 'no', 'in'],
        'POST subscribers' => ['sign-in', 'no', 'no', 'no', 'in'],
        'GET subscribers/roster' => ['sign-in', 'no', 'no', 'no', 'in'],
        'POST subscribers/roster' => ['sign-in', 'no', 'no', 'no', 'in'],
        'POST subscribers/deliveries/{delivery}' => ['sign-in', 'no', 'no', 'no', 'in'],
        'PATCH subscribers/{user}' => ['sign-in', 'no', 'no', 'no', 'in'],
        'DELETE subscribers/{user}' => ['sign-in', 'no', 'no', 'no', 'in'],
        'GET editions' => ['in', 'in', 'in', 'in', 'in'],
        'GET editions/{edition}' => ['in', 'in', 'in', 'in', 'in'],
        'GET editions/{edition}/document' => ['no', 'no', 'in', 'in', 'in'],
        'GET editions/{edition}/verify' => ['no', 'no', 'in', 'in', 'in'],
        'GET editions/{edition}/evidence' => ['no', 'no', 'in', 'in', 'in'],
        'GET editions/{edition}/bars' => ['no', 'no', 'in', 'in', 'in'],
        'GET editions/{edition}/markdown' => ['in', 'in', 'in', 'in', 'in'],
        'GET editions/{edition}/pdf' => ['in', 'in', 'in', 'in', 'in'],
        'GET editions/{edition}/setups' => ['in', 'in', 'in', 'in', 'in'],
        'GET record' => ['in', 'in', 'in', 'in', 'in'],
        'GET feeds/{token}/editions.atom' => ['in', 'in', 'in', 'in', 'in'],
        'GET feeds/{token}/dates.ics' => ['in', 'in', 'in', 'in', 'in'],
        'POST settings/feeds' => ['sign-in', 'in', 'in', 'in', 'in'],
        'POST editions/{edition}/setups/{key}/follow' => ['sign-in', 'in', 'in', 'in', 'in'],
        'POST seen' => ['sign-in', 'in', 'in', 'in', 'in'],
        'POST requests' => ['sign-in', 'in', 'in', 'in', 'in'],
        'DELETE requests/{asked}' => ['sign-in', 'in', 'in', 'in', 'in'],
        'POST plan/requests/{asked}/take' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/requests/{asked}/decline' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH settings/account' => ['sign-in', 'in', 'in', 'in', 'in'],
        'GET instruments' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET instruments/{instrument}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET instruments/{instrument}/bars' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/review' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/review/{published}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/review/{published}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/review/{published}/carry' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/review/{published}/let-go' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/review/{published}/updates' => ['sign-in', 'no', 'no', 'no', 'in'],
        'GET plan/market' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/market/settings' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/market/events/{event}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH settings/chart' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET data' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST data/folder' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET data/export/{what}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST data/imports' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET data/imports/{import}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET data/imports/{import}/progress' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH data/imports/{import}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST data/imports/{import}/start' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST data/imports/{import}/cancel' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/candidates' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/candidates' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/scan' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/candidates/order' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/candidates/{candidate}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/candidates/{candidate}/beside' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/candidates/{candidate}/side' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/candidates/{candidate}/source' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/candidates/{candidate}/move' => ['sign-in', 'no', 'no', 'in', 'in'],
        'DELETE plan/candidates/{candidate}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/mark' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/mark/{candidate}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/mark/{candidate}/workbench' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/mark/{candidate}/levels' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/mark/{candidate}/levels/{level}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'DELETE plan/mark/{candidate}/levels/{level}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET levels' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH settings/limits' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/mark/{candidate}/view' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/mark/{candidate}/note' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/mark/{candidate}/cross-check' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/mark/{candidate}/adopt' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/mark/{candidate}/levels/{level}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/mark/{candidate}/levels/{level}/retire' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/mark/{candidate}/levels/{level}/restore' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/mark/{candidate}/use' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/mark/{candidate}/setup' => ['sign-in', 'no', 'no', 'in', 'in'],
        'DELETE plan/mark/{candidate}/setup' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/mark/{candidate}/option' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/mark/{candidate}/variants' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/mark/{candidate}/variants' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/mark/{candidate}/kinds' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/mark/{candidate}/kinds/{kind}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'DELETE plan/mark/{candidate}/kinds/{kind}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/mark/{candidate}/kinds/{kind}/apply' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/mark/{candidate}/checklist' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/mark/{candidate}/rehearsals' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/mark/{candidate}/rehearsals' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/mark/{candidate}/rehearsals/{rehearsal}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/mark/{candidate}/rehearsals/{rehearsal}/cancel' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/mark/{candidate}/rehearsals/{rehearsal}/cases/{number}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/drafts' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/drafts/{plan}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'DELETE plan/drafts/{plan}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/session' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/parts' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH plan/parts/{part}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/parts/{part}/move' => ['sign-in', 'no', 'no', 'in', 'in'],
        'DELETE plan/parts/{part}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/references' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/images' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/images/{hash}' => ['sign-in', 'no', 'no', 'in', 'in'],
        'PATCH settings/parts' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET editions/{edition}/images/{hash}' => ['in', 'in', 'in', 'in', 'in'],
        'PATCH plan/bias' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/undo' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/redo' => ['sign-in', 'no', 'no', 'in', 'in'],
        'GET plan/publish' => ['sign-in', 'no', 'no', 'in', 'in'],
        'POST plan/publish' => ['sign-in', 'no', 'no', 'no', 'in'],
        'POST market/runs' => ['sign-in', 'no', 'no', 'no', 'in'],
        'GET market/runs/{run}' => ['sign-in', 'no', 'no', 'no', 'in'],
        'POST market/runs/{run}/cancel' => ['sign-in', 'no', 'no', 'no', 'in'],
    ];

    public function testEveryRouteIsInTheTable(): void
    {
        $routes = [];
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if (in_array('web', $route->gatherMiddleware(), true) && ! str_starts_with($route->uri(), 'storage')) {
                $routes[] = $route->methods()[0].' '.$route->uri();
            }
        }

        self::assertEqualsCanonicalizing(array_keys(self::TABLE), $routes);
    }

    public function testEveryRoleGetsWhatItMay(): void
    {
        $this->planned('OAKL.Q', readers: 'pilot');
        $this->publish();
        $candidate = $this->candidate('TARN.Q');
        $level = Level::query()->create(['author_id' => $this->author->id, 'instrument_id' => $candidate->instrument_id, 'price' => 5_000, 'origin' => 'swing low', 'grade' => 'minor']);
        $run = MarketRun::query()->create(['user_id' => $this->author->id, 'label' => '1 session', 'until' => 0, 'state' => RunState::Done]);

        $event = MarketEvent::query()->create(['key' => 'x', 'date' => '2024-12-01', 'kind' => 'other', 'title' => 'Something', 'source' => 'test']);
        $import = Import::query()->create(['kind' => 'bars', 'file_name' => 'x.csv', 'path' => '/nowhere', 'mapping' => [], 'state' => 'done', 'faults' => []]);

        $rehearsal = Rehearsal::query()->create(['author_id' => $this->author->id, 'plan_id' => $candidate->plan_id, 'instrument_id' => $candidate->instrument_id, 'scope' => RehearsalScope::Instrument, 'sessions' => 252, 'rule' => (new Rule(new RelativeDraft(new Draft(Side::Long, [new DraftLeg(TriggerKind::Market)], 4900, [], 5), new PriceGrid(2), 5000, 100.0), new LevelRule(), 5000))->toState(), 'state' => RunState::Done, 'as_of' => 0]);
        $kind = SetupKind::query()->create(['author_id' => $this->author->id, 'name' => 'pullback']);
        $asked = SymbolRequest::query()->create(['instrument_id' => $candidate->instrument_id, 'state' => RequestState::Open]);
        $people = [null, $this->harbour, $this->pilot, $this->assistant, $this->author];
        foreach (self::TABLE as $route => $expected) {
            [$method, $uri] = explode(' ', $route);
            $uri = strtr($uri, ['{edition}' => '1', '{published}' => '1', '{candidate}' => (string) $candidate->id, '{level}' => (string) $level->id, '{run}' => (string) $run->id, '{instrument}' => 'OAKL.Q', '{event}' => (string) $event->id, '{what}' => 'instruments', '{import}' => (string) $import->id, '{rehearsal}' => (string) $rehearsal->id, '{number}' => '0', '{token}' => 'nobody', '{user}' => (string) $this->harbour->id, '{tier}' => '1', '{delivery}' => (string) Delivery::query()->firstOrFail()->id, '{mail}' => '999', '{key}' => '1', '{asked}' => (string) $asked->id, '{plan}' => (string) $candidate->plan_id, '{part}' => 'x', '{hash}' => 'x', '{kind}' => (string) $kind->id]);
            foreach ($people as $i => $person) {
                self::assertSame($expected[$i], $this->answer($person, $method, $uri), "{$route} by ".($person->name ?? 'a visitor'));
            }
        }
    }

    /** What a route says to a person, without what it did being kept. */
    private function answer(?User $person, string $method, string $uri): string
    {
        $database = $this->app->make('db');
        $database->beginTransaction();
        $person === null ? $this->app->make('auth')->forgetGuards() : $this->actingAs($person);
        $response = $this->call($method, '/'.ltrim($uri, '/'));
        $this->flushSession();
        $database->rollBack();

        return match (true) {
            $response->getStatusCode() === 403 => 'no',
            $response->isRedirect(url('/sign-in')) && $uri !== 'sign-out' => 'sign-in',
            $response->isRedirect(url('/')) && $person !== null && ($uri === 'sign-in' || preg_match('~^(password|invitations)\b~', $uri) === 1) => 'home',
            $response->isRedirect(url('/sign-in')) => $person === null ? 'sign-in' : 'in',
            default => 'in',
        };
    }

    public function testARefusalIsAPageInPlainWords(): void
    {
        $this->actingAs($this->pilot)->get('/plan/candidates')->assertForbidden()->assertInertia(fn ($page) => $page->component('Fault')->where('status', 403));
        $this->actingAs($this->author)->get('/plan/mark/999')->assertNotFound()->assertInertia(fn ($page) => $page->component('Fault')->where('message', fn (string $text): bool => ! str_contains($text, 'App\\Models')));
        $this->getJson('/plan/mark/999/workbench')->assertNotFound()->assertJsonStructure(['message']);
    }

    public function testAnotherAuthorsCandidateIsOutOfReach(): void
    {
        $candidate = $this->candidate('TARN.Q');
        $other = $this->person('odd', Role::Author);

        $this->actingAs($other)->get("/plan/mark/{$candidate->id}")->assertForbidden();
        $this->actingAs($other)->postJson("/plan/mark/{$candidate->id}/levels", ['price' => '50.00'])->assertForbidden();
        $this->actingAs($other)->deleteJson("/plan/candidates/{$candidate->id}")->assertForbidden();
        self::assertModelExists($candidate);
    }
}
