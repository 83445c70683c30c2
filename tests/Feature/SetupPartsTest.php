<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Candidate;
use App\Models\Outcome;
use App\Models\Setup;
use App\Publishing\EditionReader;
use Illuminate\Http\Response;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use Tests\World;

/** A setup in full: staged legs, every trigger, conditions, stop moves, ways out; and what stands beside it. */
final class SetupPartsTest extends TestCase
{
    use World;

    private Candidate $candidate;

    protected function setUp(): void
    {
        parent::setUp();
        $this->candidate = $this->planned('OAKL.Q', entry: -0.01, stop: -0.05, target: 0.06);
        $this->actingAs($this->author);
    }

    /**
     * @param array<string, mixed> $leg
     * @param array<string, mixed> $trigger as it is sealed
     */
    #[DataProvider('triggers')]
    public function testEveryTriggerIsPlannedAndSealedAsTheRulesSay(array $leg, array $trigger, string $reads): void
    {
        $price = $this->price('OAKL.Q', 0.0);
        $this->change(['legs' => [['price' => $price] + $leg]])->assertOk();
        $sentence = (string) $this->bench()->json('setup.sentence');
        self::assertStringContainsString($reads, $sentence);

        $edition = $this->publish();
        $part = app(EditionReader::class)->document($edition)['candidates'][0]['setups'][0] ?? [];
        $sealed = $part['rules']['legs'][0]['trigger'];
        unset($sealed['price']);
        self::assertEquals($trigger, $sealed);
        self::assertSame($sentence, $part['sentence'], 'the same words in the editor and the edition');
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string}> */
    public static function triggers(): iterable
    {
        yield 'touch' => [['kind' => 'touch', 'within' => '0.10'], ['kind' => 'touch', 'within' => '0.10'], 'or within 0.10 of it'];
        yield 'break' => [['kind' => 'break', 'noChase' => true], ['kind' => 'break', 'no_chase' => true], 'on a break'];
        yield 'close beyond' => [['kind' => 'close_beyond', 'timeframe' => '1h', 'times' => 2, 'nextOpen' => true], ['kind' => 'close_beyond', 'timeframe' => '1h', 'fill' => 'next_open', 'times' => 2], '2 hourly closes in a row above'];
        yield 'retest' => [['kind' => 'retest', 'timeframe' => '1d'], ['kind' => 'retest', 'timeframe' => '1d'], 'comes back to'];
        yield 'overshoot' => [['kind' => 'overshoot', 'beyond' => '0.20', 'timeframe' => '1d', 'bars' => 3], ['kind' => 'overshoot', 'beyond' => '0.20', 'timeframe' => '1d', 'bars' => 3], 'closes back above it'];
        yield 'open' => [['kind' => 'open', 'gapMin' => '-1', 'gapMax' => '2'], ['kind' => 'open', 'gap_min_percent' => '-1', 'gap_max_percent' => '2'], 'at the open of a session with a gap'];
        yield 'market' => [['kind' => 'market'], ['kind' => 'market'], 'at once'];
    }

    public function testAStagedEntryWithConditionsMovesAndExitsIsFollowedAsItIsSealed(): void
    {
        $this->change(['legs' => [
            ['name' => 'starter', 'share' => '0.4', 'kind' => 'market'],
            ['name' => 'add', 'share' => '0.6', 'kind' => 'break', 'price' => $this->price('OAKL.Q', 0.01), 'needs' => 'starter'],
        ]])->assertOk()->assertJsonPath('setup.legs.1.needs', 'starter');
        $this->change(['conditions' => [['kind' => 'gap_max_percent', 'value' => '20']]])->assertOk()->assertJsonPath('setup.conditions.0.text', 'Only if the session gaps at most 20 % with the trade');
        $this->change(['stop_moves' => [['after' => 'sessions', 'afterValue' => '1', 'to' => 'swing', 'timeframe' => '1d', 'bars' => '2']]])->assertOk()->assertJsonPath('setup.stopMoves.0.text', 'After 1 session the stop trails the lowest low of the last 2 sessions');
        $this->change(['time_stop' => 2])->assertOk();
        $this->change(['stop_closes' => ['timeframe' => '1d', 'times' => 1]])->assertOk()->assertJsonPath('setup.stopCloses.timeframe', '1d');
        $this->publish();
        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 2])->assertSuccessful();

        $run = Outcome::query()->sole()->run;
        $kinds = array_column($run['events'], 2);
        self::assertSame('fill', $kinds[0]);
        self::assertContains('time', $kinds, 'out at the close of the second session');
        self::assertTrue(Outcome::query()->sole()->is_over);
    }

    /**
     * @param array<string, mixed> $change
     */
    #[DataProvider('refused')]
    public function testWhatTheRulesRefuseIsToldAtItsFieldAndNothingIsKept(array $change, string $field, string $says): void
    {
        $before = Setup::query()->sole()->toArray();
        $response = $this->change($change)->assertStatus(422);

        self::assertStringContainsString($says, (string) ($response->json('errors')[$field][0] ?? json_encode($response->json('errors'))));
        self::assertSame($before, Setup::query()->sole()->toArray());
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function refused(): iterable
    {
        yield 'a condition without a number' => [['conditions' => [['kind' => 'gap_max_percent', 'value' => 'much']]], 'conditions.0.value', 'decimal'];
        yield 'a condition that is not known in time' => [['conditions' => [['kind' => 'close_place_min', 'value' => '0.7']]], 'conditions.0.kind', 'cannot know it in time'];
        yield 'a move to a target that is not there' => [['stop_moves' => [['after' => 'target', 'afterValue' => '1', 'to' => 'target', 'number' => '4']]], 'stop_moves.0.to.number', 'no target 4'];
        yield 'a trail without a period' => [['stop_moves' => [['after' => 'r', 'afterValue' => '1', 'to' => 'average', 'type' => 'sma', 'timeframe' => '1d', 'period' => '']]], 'stop_moves.0.to.period', 'whole number'];
        yield 'shares that are not all' => [['legs' => [['kind' => 'market', 'share' => '0.4']]], 'legs.0.share', '40 %'];
        yield 'an unknown trigger' => [['legs' => [['kind' => 'hope']]], 'legs.0.kind', 'invalid'];
    }

    public function testABlackoutIsTypedAndToldInTheTimeOfTheExchange(): void
    {
        $this->change(['conditions' => [['kind' => 'blackout', 'from' => '2025-06-20 14:00', 'to' => '2025-06-20 16:30']]])->assertOk()
            ->assertJsonPath('setup.conditions.0.from', '2025-06-20 14:00')
            ->assertJsonPath('setup.conditions.0.text', 'Not from 14:00 on Friday 20 June until 16:30 on Friday 20 June');
        self::assertSame('2025-06-20T13:00:00Z', Setup::query()->sole()->conditions[0]['from'] ?? null);
        $this->change(['conditions' => [['kind' => 'blackout', 'from' => 'noon', 'to' => '2025-06-20 16:30']]])->assertStatus(422)->assertJsonValidationErrors('conditions.0.from');
    }

    public function testUndoBringsBackWhatWasTakenAway(): void
    {
        $this->change(['conditions' => [['kind' => 'rsi_max', 'period' => '14', 'value' => '70']]])->assertOk();
        $this->change(['conditions' => []])->assertOk()->assertJsonPath('setup.conditions', []);
        $this->postJson('/plan/undo')->assertOk();

        $this->bench()->assertJsonPath('setup.conditions.0.kind', 'rsi_max');
    }

    public function testFiguresAndWarningsFollowTheAuthorsLimits(): void
    {
        $this->change(['time_stop' => 40])->assertOk();
        $figures = collect((array) $this->bench()->json('setup.figures'))->pluck('value', 'label');
        // targets 6 % above the last close, entry 1 % and stop 5 % below it
        self::assertSame('+1.75 R', $figures['All targets']);
        self::assertSame('36 %', $figures['Breaks even']);
        self::assertStringEndsWith('ATR', $figures['To the entry']);
        self::assertStringEndsWith('units', $figures['Size']);
        self::assertSame([], $this->bench()->json('setup.warnings'));

        $this->patch('/settings/limits', ['relativeVolume' => 1.5, 'stretchAtr' => 3, 'deviations' => 2, 'streak' => 4, 'earningsSessions' => 10, 'turnover' => 0, 'brokenFor' => 40, 'farAt' => 15, 'farFor' => 20, 'accountValue' => 1_000, 'riskPercent' => 0.01, 'leastReward' => 3, 'noiseAtr' => 10, 'volumeShare' => 2, 'sideShare' => 80, 'groupMost' => 3]);
        $warnings = implode(' ', (array) $this->bench()->json('setup.warnings'));
        self::assertStringContainsString('less than your 3 R', $warnings);
        self::assertStringContainsString('inside the noise of your 10 ATR', $warnings);
        self::assertSame('none', collect((array) $this->bench()->json('setup.figures'))->pluck('value', 'label')['Size']);
    }

    public function testPlacesForTheStopLieBehindStructureOnTheLosingSide(): void
    {
        $offers = (array) $this->bench()->json('setup.stopOffers');
        $entry = (float) $this->bench()->json('setup.legs.0.price');

        self::assertNotEmpty($offers);
        $prices = array_map(static fn (array $offer): float => (float) $offer['price'], $offers);
        self::assertLessThan($entry, max($prices));
        $sorted = $prices;
        rsort($sorted);
        self::assertSame($sorted, $prices, 'the nearest first');
        $this->change(['stop' => $offers[0]['price']])->assertOk();
    }

    public function testAConditionOnAnIndexThatIsNotKnownStopsThePlan(): void
    {
        $this->change(['conditions' => [['kind' => 'index_above', 'symbol' => 'NOWH.Q', 'price' => '100']]])->assertOk();

        $this->get('/plan/publish')->assertInertia(fn ($page) => $page->where('check.0.stops', true)->where('check.0.message', 'OAKL.Q: a condition names NOWH.Q, which is not known here.'));
    }

    /**
     * @param array<string, mixed> $changes
     *
     * @return TestResponse<Response>
     */
    private function change(array $changes): TestResponse
    {
        return $this->patchJson("/plan/mark/{$this->candidate->id}/setup", $changes);
    }

    /** @return TestResponse<Response> */
    private function bench(): TestResponse
    {
        return $this->getJson("/plan/mark/{$this->candidate->id}/workbench");
    }
}
