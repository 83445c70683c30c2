<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\ChangeSetup;
use App\Data\LimitsData;
use App\Http\Middleware\HandleInertiaRequests;
use App\Market\BarRepository;
use App\Models\Candidate;
use App\Planning\Variant;
use App\Reading\Limits;
use Tests\TestCase;
use Tests\World;

/** The board of candidates: sides, groups, sources, facts, and a candidate beside others. */
final class BoardTest extends TestCase
{
    use World;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->author);
    }

    /** @return list<string> two shares of machines, their fund and their index; and a share of materials */
    protected function symbols(): array
    {
        return ['OAKL.Q', 'WNCH.Q', 'QMC.Q', 'NORD.Q', 'GRIT.Q'];
    }

    protected function firstDate(): string
    {
        return '2024-07-01';
    }

    public function testASideIsTakenBeforeThereIsASetupAndTheSetupBeginsWithIt(): void
    {
        $candidate = $this->candidate('OAKL.Q');
        $this->patchJson("/plan/candidates/{$candidate->id}/side", ['side' => 'short'])->assertRedirect();
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates.0.side', 'short'));

        app(ChangeSetup::class)(new Variant($candidate->refresh()), ['stop' => $this->price('OAKL.Q', 0.05)]);
        self::assertSame('short', $candidate->refresh()->setups->sole()->side->value);

        $this->patchJson("/plan/candidates/{$candidate->id}/side", ['side' => 'long'])->assertRedirect();
        self::assertSame('long', $candidate->refresh()->setups->sole()->side->value, 'what is only begun turns with it');
        $this->postJson('/plan/undo')->assertJsonPath('message', 'Undone: long OAKL.Q.');
        self::assertSame(['short', 'short'], [$candidate->refresh()->side?->value, $candidate->setups->sole()->side->value]);

        $this->patchJson("/plan/candidates/{$candidate->id}/side", ['side' => null])->assertRedirect();
        self::assertNull($candidate->refresh()->side);
        $this->patchJson("/plan/candidates/{$candidate->id}/side", ['side' => 'up'])->assertStatus(422);
    }

    public function testAWholeSetupSaysItsSideItself(): void
    {
        $candidate = $this->planned('OAKL.Q');
        $this->patchJson("/plan/candidates/{$candidate->id}/side", ['side' => 'short'])->assertStatus(422)->assertJsonValidationErrors(['side' => 'OAKL.Q has a long setup']);
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates.0.side', 'long'));

        $index = $this->candidate('NORD.Q');
        $this->patchJson("/plan/candidates/{$index->id}/side", ['side' => 'long'])->assertStatus(422)->assertJsonValidationErrors(['side' => 'watched, not traded']);
    }

    public function testGroupsAreBroughtTogetherInTheOrderInWhichTheyOccur(): void
    {
        foreach (['OAKL.Q' => 'breakouts', 'GRIT.Q' => '', 'WNCH.Q' => 'breakouts'] as $symbol => $theme) {
            $this->candidate($symbol)->update(['theme' => $theme]);
        }
        $order = fn (): array => $this->plan()->candidates()->with('instrument')->get()->map(static fn (Candidate $one): string => $one->instrument->symbol)->all();
        self::assertSame(['OAKL.Q', 'GRIT.Q', 'WNCH.Q'], $order());

        $this->postJson('/plan/candidates/order', ['by' => 'group'])->assertRedirect();
        self::assertSame(['OAKL.Q', 'WNCH.Q', 'GRIT.Q'], $order());
        $this->postJson('/plan/undo')->assertJsonPath('message', 'Undone: order by industry.');
        self::assertSame(['OAKL.Q', 'GRIT.Q', 'WNCH.Q'], $order());
        $this->postJson('/plan/candidates/order', ['by' => 'theme'])->assertRedirect();
        self::assertSame(['OAKL.Q', 'WNCH.Q', 'GRIT.Q'], $order());
        $this->postJson('/plan/candidates/order', ['by' => 'luck'])->assertStatus(422);
    }

    public function testWhereAnIdeaCameFromIsNoted(): void
    {
        $candidate = $this->candidate('OAKL.Q');
        $this->patchJson("/plan/candidates/{$candidate->id}/source", ['note' => ' Olin Reed, at the harbour talk '])->assertRedirect();
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates.0.from', 'from elsewhere, Olin Reed, at the harbour talk'));

        $this->patchJson("/plan/candidates/{$candidate->id}/source", ['note' => ''])->assertRedirect();
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates.0.source', 'typed'));
    }

    public function testTheFactsComeAfterThePageWithWhatIsBelowTheAuthorsFloor(): void
    {
        $candidate = $this->candidate('OAKL.Q');
        $facts = fn (): array => self::items($this->get('/plan/candidates', ['X-Inertia' => 'true', 'X-Inertia-Version' => (string) app(HandleInertiaRequests::class)->version(request()), 'X-Inertia-Partial-Component' => 'Candidates', 'X-Inertia-Partial-Data' => 'facts'])->json("props.facts.{$candidate->id}"))->pluck('caution', 'label')->all();
        self::assertSame('', $facts()['Turnover']);

        $this->patch('/settings/limits', [...(array) LimitsData::of(Limits::of($this->author)), 'turnover' => 900_000_000])->assertRedirect();
        self::assertSame('thin: below 900.0 m', $facts()['Turnover']);
    }

    public function testACandidateStandsBesideOthersOfItsIndustry(): void
    {
        $candidate = $this->candidate('OAKL.Q');
        $peers = self::items($this->getJson("/plan/candidates/{$candidate->id}/beside")->assertOk()->json());
        self::assertSame('OAKL.Q', $peers->pluck('symbol')->first());
        self::assertEqualsCanonicalizing(['OAKL.Q', 'WNCH.Q', 'QMC.Q', 'NORD.Q'], $peers->pluck('symbol')->all());

        $bars = app(BarRepository::class);
        $risen = $peers->mapWithKeys(function (mixed $peer) use ($bars): array {
            assert(is_array($peer) && is_string($peer['symbol']));
            $closes = $bars->days($this->instrument($peer['symbol']), 61)->closes();

            return [$peer['symbol'] => 100 * ($closes[60] / $closes[0] - 1)];
        });
        self::assertEqualsWithDelta($risen->sortKeys()->all(), $peers->pluck('risen', 'symbol')->sortKeys()->all(), 1e-9);
        $leader = $risen->only(['OAKL.Q', 'WNCH.Q'])->sortDesc()->keys()->first();
        self::assertSame([$leader], $peers->where('leads', true)->pluck('symbol')->all());
        self::assertNull($peers->firstWhere('symbol', 'OAKL.Q')['correlation'] ?? null);

        $this->postJson('/plan/candidates', ['instrument' => $this->instrument('WNCH.Q')->id, 'note' => 'beside OAKL.Q'])->assertRedirect();
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates.1.from', 'typed in, beside OAKL.Q'));
        self::assertTrue(self::items($this->getJson("/plan/candidates/{$candidate->id}/beside")->json())->firstWhere('symbol', 'WNCH.Q')['onList'] ?? false);
    }

    public function testAScanFindsWhatAnswersItAndSendsItToTheList(): void
    {
        $bars = app(BarRepository::class);
        $rises = [];
        foreach (['OAKL.Q', 'WNCH.Q', 'QMC.Q', 'GRIT.Q'] as $symbol) {
            $closes = $bars->days($this->instrument($symbol), 11)->closes();
            $rises[$symbol] = $closes[10] / $closes[0] - 1;
        }
        arsort($rises);
        $risen = array_keys(array_filter($rises, static fn (float $one): bool => $one > 0.0));
        $hits = self::items($this->getJson('/plan/scan?scan=risen&sessions=10')->assertOk()->json());
        self::assertSame($risen, $hits->pluck('instrument.symbol')->all(), 'the strongest first, and nothing that is only watched');

        $symbol = array_key_first($rises);
        $value = '+'.number_format(100 * $rises[$symbol], 1).' %';
        self::assertSame([$value, "risen over 10 sessions, {$value}", false], [$hits[0]['value'] ?? null, $hits[0]['note'] ?? null, $hits[0]['onList'] ?? null]);
        $this->postJson('/plan/candidates', ['instrument' => $this->instrument($symbol)->id, 'source' => 'scan', 'note' => "risen over 10 sessions, {$value}"])->assertRedirect();
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates.0.from', "found by a scan, risen over 10 sessions, {$value}"));
        self::assertTrue(self::items($this->getJson('/plan/scan?scan=risen&sessions=10')->json())[0]['onList'] ?? false);

        $this->getJson('/plan/scan?scan=risen&sessions=0')->assertStatus(422)->assertJsonValidationErrors(['sessions' => 'a whole number from 1 to 252']);
        $this->getJson('/plan/scan?scan=luck&sessions=5')->assertStatus(422);
        $this->postJson('/plan/candidates', ['instrument' => $this->instrument('NORD.Q')->id, 'source' => 'carried'])->assertStatus(422);
    }

    public function testAnEntryThatWasTradedAlreadyIsSaid(): void
    {
        $days = app(BarRepository::class)->days($this->instrument('OAKL.Q'), 1);
        $middle = ($days->high[0] + $days->low[0]) / 2;
        $this->planned('OAKL.Q', entry: $middle / $days->close[0] - 1, stop: -0.2);
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates.0.standing', fn (string $said): bool => str_ends_with($said, ' ATR away, traded in the last session')));

        $this->planned('WNCH.Q', entry: 0.15, target: 0.3);
        $this->get('/plan/candidates')->assertInertia(fn ($page) => $page->where('candidates.1.standing', fn (string $said): bool => preg_match('/^not yet, entry [\d.]+ ATR away$/', $said) === 1));
    }
}
