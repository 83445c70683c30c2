<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\AddVariant;
use App\Clock\MarketClock;
use App\Enums\RunState;
use App\Feeds\MarketFeed;
use App\Feeds\SimulatedFeed;
use App\Jobs\EvaluateSetup;
use App\Jobs\PlayMarket;
use App\Market\BarRepository;
use App\Market\MarketAdvance;
use App\Models\MarketRun;
use App\Models\Outcome;
use App\Models\PublishedSetup;
use App\Planning\Variant;
use App\Publishing\EditionReader;
use App\Record\Runs;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeReader;
use Watchpost\Core\Setups\VariantKind;
use Watchpost\Simulator\QuayExchange;

final class MarketTest extends TestCase
{
    use World;

    public function testNoBarLaterThanTheClockIsEverHandedOut(): void
    {
        $now = app(MarketClock::class)->moment();
        $oakl = $this->instrument('OAKL.Q');
        // the feed runs ahead of the clock, as a careless one might
        app(MarketFeed::class)->deliverUntil($now + 3 * 86_400);
        self::assertGreaterThan(0, DB::table('bars')->where('ends_at', '>', $now)->count());

        $bars = app(BarRepository::class);
        self::assertSame([], array_filter($bars->from($oakl, TimeFrame::FiveMinutes, 0), static fn (Bar $bar): bool => $bar->end > $now));
        self::assertSame('2024-11-20', collect($bars->days($oakl, 5)->session)->last());
        self::assertSame('2024-11-18', collect($bars->days($oakl, 5, (int) strtotime('2024-11-18T20:00:00Z'))->session)->last());
        self::assertSame('2024-11-20', collect($bars->days($oakl, 5, $now + 9 * 86_400)->session)->last());
        $candidate = $this->candidate('OAKL.Q');
        $this->actingAs($this->author)->get("/plan/mark/{$candidate->id}")->assertOk()->assertInertia(fn ($page) => $page->where('chart.sessions', fn ($sessions): bool => $sessions->last() === '2024-11-20'));
    }

    public function testTheClockNeverRunsBackward(): void
    {
        $this->expectException(\LogicException::class);
        app(MarketClock::class)->moveTo((int) strtotime('2024-11-19T18:00:00Z'));
    }

    public function testPlayingToTheSameMomentInStepsOrAtOnceGivesTheSameBars(): void
    {
        $market = app(MarketAdvance::class);
        foreach (['2024-11-21T10:00:00Z', '2024-11-21T10:05:00Z', '2024-11-21T16:00:00Z', '2024-11-22T12:00:00Z'] as $moment) {
            $market->to((int) strtotime($moment));
        }
        $stepwise = $this->allBars();
        app(MarketFeed::class)->deliverUntil((int) strtotime('2024-11-22T12:00:00Z'));
        self::assertSame($stepwise, $this->allBars());

        DB::table('bars')->delete();
        DB::table('feed_cursors')->delete();
        app(SimulatedFeed::class)->deliverHistory((int) strtotime('2024-11-22T12:00:00Z'), '2024-11-18', self::FIRST_DATE);
        self::assertSame($stepwise, $this->allBars());
    }

    /**
     * How many bars there are, and a sum over all of them.
     *
     * @phpstan-impure
     */
    private function allBars(): string
    {
        $rows = DB::table('bars')->orderBy('instrument_id')->orderBy('timeframe')->orderBy('starts_at')->get();

        return count($rows).' bars, '.md5((string) json_encode($rows));
    }

    public function testADayBarUnderWayIsBuiltFromItsBarsSoFar(): void
    {
        app(MarketAdvance::class)->to((int) strtotime('2024-11-21T11:30:00Z'));
        $series = app(BarRepository::class)->days($this->instrument('TARN.Q'), 5);
        $fine = app(BarRepository::class)->from($this->instrument('TARN.Q'), TimeFrame::FiveMinutes, (int) strtotime('2024-11-21T00:00:00Z'));

        self::assertCount(24, $fine);
        self::assertSame('2024-11-21', $series->session[5]);
        self::assertSame(max(array_map(static fn (Bar $bar): int => $bar->high, $fine)), $series->high[5]);
        self::assertSame([$fine[0]->open, $fine[23]->close], [$series->open[5], $series->close[5]]);
        $candidate = $this->candidate('TARN.Q');
        $this->actingAs($this->author)->get("/plan/mark/{$candidate->id}")->assertInertia(fn ($page) => $page->where('chart.unfinished', true));
    }

    public function testTheMarketIsPlayedByBarToTheCloseAndBySessions(): void
    {
        $this->actingAs($this->author);
        $clock = app(MarketClock::class);

        $this->postJson('/market/runs', ['by' => 'bar'])->assertCreated()->assertJson(['state' => 'done']);
        self::assertSame('2024-11-21T09:35:00Z', Instant::format($clock->moment()));
        $this->postJson('/market/runs', ['by' => 'bar'])->assertCreated();
        self::assertSame('2024-11-21T09:40:00Z', Instant::format($clock->moment()));
        $this->postJson('/market/runs', ['by' => 'close'])->assertCreated();
        self::assertSame('2024-11-21T16:00:00Z', Instant::format($clock->moment()));
        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 3])->assertCreated()->assertJson(['done' => 3, 'total' => 3]);
        self::assertSame('2024-11-26T16:00:00Z', Instant::format($clock->moment()));
        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 500])->assertStatus(422);
    }

    public function testOneRunAtATimeAndItCanBeCancelled(): void
    {
        Queue::fake();
        $this->actingAs($this->author);
        $id = $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 4])->assertCreated()->json('id');
        Queue::assertPushed(PlayMarket::class, 1);
        $this->postJson('/market/runs', ['by' => 'bar'])->assertStatus(422)->assertJsonValidationErrors('market');
        $this->postJson("/market/runs/{$id}/cancel")->assertOk()->assertJson(['state' => 'cancelled']);

        app()->call([new PlayMarket($id), 'handle']);
        self::assertSame(self::EVENING, Instant::format(app(MarketClock::class)->moment()));
        $this->getJson("/market/runs/{$id}")->assertJson(['state' => 'cancelled', 'done' => 0]);
    }

    public function testARunThatFailsSaysSo(): void
    {
        $run = MarketRun::query()->create(['user_id' => $this->author->id, 'label' => '1 session', 'until' => 1, 'state' => RunState::Running]);
        (new PlayMarket($run->id))->failed(new \RuntimeException('the feed is silent'));

        self::assertSame([RunState::Failed, 'the feed is silent'], [$run->refresh()->state, $run->message]);
    }

    public function testEvaluationIsIncrementalAndIdempotentAndAgreesWithTheCommandLine(): void
    {
        foreach (['OAKL.Q', 'TARN.Q', 'GRIT.Q'] as $symbol) {
            $candidate = $this->planned($symbol);
        }
        foreach ([VariantKind::Patient, VariantKind::OtherSide] as $kind) {
            app(AddVariant::class)(new Variant($candidate), $kind);
        }
        $edition = $this->publish();
        $this->actingAs($this->author);
        $this->postJson('/market/runs', ['by' => 'bar']);
        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 2]);
        $this->postJson('/market/runs', ['by' => 'sessions', 'sessions' => 9]);

        foreach (PublishedSetup::query()->with(['edition', 'instrument', 'outcome'])->get() as $published) {
            $stored = Outcome::query()->where('published_setup_id', $published->id)->firstOrFail();
            dispatch_sync(new EvaluateSetup($published->id));
            self::assertEquals($stored->toArray(), $stored->fresh()?->toArray());
            [, $outcome] = app(Runs::class)->told($published, app(EditionReader::class)->setup($published->edition, $published->key), $stored);
            self::assertSame($this->recomputed($published, $stored->as_of), $outcome->toArray());
        }
        self::assertSame(5, Outcome::query()->count());
        self::assertSame($edition->seal, $edition->refresh()->seal);
        self::assertGreaterThan(0, Outcome::query()->whereNotIn('status', ['waiting'])->count());
    }

    /**
     * The outcome as anyone can compute it from the edition's document and the bars alone.
     *
     * @return array<string, mixed>
     */
    private function recomputed(PublishedSetup $published, int $asOf): array
    {
        $document = app(EditionReader::class)->document($published->edition);
        $part = collect($document['candidates'])->first(static fn (array $part): bool => in_array($published->key, array_column($part['setups'] ?? [], 'key'), true));
        $keys = array_column($part['setups'], 'key');
        $grid = $published->instrument->grid();
        $sessions = QuayExchange::calendar()->between('2024-11-18', '2024-12-31');
        $input = [
            'instrument' => array_intersect_key($part['instrument'], array_flip(['symbol', 'decimals', 'tick'])),
            'setups' => array_column($part['setups'], 'rules'),
            'costs' => $document['costs'],
            'timeframe' => $document['judged_on'],
            'sessions' => array_map(static fn ($s): array => [$s->date, Instant::format($s->open), Instant::format($s->close)], $sessions),
            'bars' => array_map(static fn (Bar $bar): array => [
                Instant::format($bar->start), $bar->session, $grid->format($bar->open), $grid->format($bar->high), $grid->format($bar->low), $grid->format($bar->close), $bar->volume,
            ], app(BarRepository::class)->from($published->instrument, TimeFrame::FiveMinutes, 0)),
            'as_of' => Instant::format($asOf),
        ];

        return OutcomeReader::read(Node::of($input))->answer(new OutcomeEngine())[(int) array_search($published->key, $keys, true)]->toArray();
    }

    public function testADraftWhoseSessionHasOpenedMovesOnToTheNext(): void
    {
        $plan = $this->plan();
        self::assertSame('2024-11-21', $plan->session_date);
        app(MarketAdvance::class)->to((int) strtotime('2024-11-21T09:30:00Z'));

        self::assertSame(['2024-11-22', $plan->id], [$this->plan()->session_date, $this->plan()->id]);
    }
}
