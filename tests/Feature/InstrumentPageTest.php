<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Market\BarRepository;
use App\Market\Calendars;
use App\Market\MarketAdvance;
use App\Market\ReferenceStore;
use App\Models\Instrument;
use App\Models\MarketEvent;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Market\Fact;
use Watchpost\Core\Market\FactKind;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Simulator\QuayExchange;

/** What is known of one instrument, and that each keeps the sessions of its own exchange. */
final class InstrumentPageTest extends TestCase
{
    use World;

    /** @return list<string> */
    protected function symbols(): array
    {
        return ['NORD.Q', 'OAKL.Q', 'TARN.Q', 'GRIT.Q', 'SKDO.Q', 'LANT.Q', 'BRNZ.Q', 'BRNZ-2612.Q', 'MIR2.Q'];
    }

    public function testFactsAreToldWithTheirDateAndSourceAndNoneFromTheFuture(): void
    {
        $oakl = $this->instrument('OAKL.Q');
        DB::table('facts')->delete();
        app(ReferenceStore::class)->facts($oakl, [
            new Fact(FactKind::SharesOutstanding, '2024-10-30', '5200000', 'company report'),
            new Fact(FactKind::SharesOutstanding, '2024-12-01', '9900000', 'company report'),
            new Fact(FactKind::Sales, '2024-10-30', '88.1', 'company report', '2024-Q3'),
        ]);

        $this->actingAs($this->author)->get('/instruments/OAKL.Q')->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Instrument')
            ->where('page.facts', fn ($facts): bool => self::items($facts)->contains(fn (array $fact): bool => $fact['value'] === '5,200,000 shares' && $fact['note'] === '2024-10-30, company report'))
            ->where('page.reports.0', ['label' => '2024-Q3', 'value' => '88.1 million', 'note' => ''])
            ->where('page.odds', null)
            ->where('page.expected', null));
    }

    public function testTermsSayWhatKindOfThingItIs(): void
    {
        $terms = function (string $symbol): string {
            $response = $this->actingAs($this->author)->get("/instruments/{$symbol}")->assertOk();

            return self::items($response->inertiaProps('page.terms'))->map(fn (array $term): string => implode(' ', $term))->implode('; ');
        };

        self::assertStringContainsString('inverse, 2 times NORD.Q', $terms('MIR2.Q'));
        self::assertStringContainsString('Contract of BRNZ.Q', $terms('BRNZ-2612.Q'));
        self::assertStringContainsString('Point value 50', $terms('BRNZ-2612.Q'));
        self::assertStringContainsString('joined from its contracts; watched, not traded', $terms('BRNZ.Q'));
        self::assertStringContainsString('Pip 0.00010', $terms('SKDO.Q'));
    }

    public function testWhatIsOnlyWatchedTakesLevelsButNoSetup(): void
    {
        $candidate = $this->candidate('NORD.Q');
        $this->actingAs($this->author)->postJson("/plan/mark/{$candidate->id}/levels", ['price' => '16000.0'])->assertOk();
        $this->patchJson("/plan/mark/{$candidate->id}/setup", ['entry' => '16000.0'])->assertStatus(422)->assertJsonPath('errors', fn (array $errors): bool => str_contains(json_encode($errors) ?: '', 'watched, not traded'));
    }

    public function testAMissingSessionAndMissingBarsStayMissingAndAreTold(): void
    {
        $id = $this->instrument('TARN.Q')->id;
        DB::table('bars')->where(['instrument_id' => $id, 'session' => '2024-11-06', 'timeframe' => '1d'])->delete();
        DB::table('bars')->where(['instrument_id' => $id, 'timeframe' => '5m'])->whereBetween('starts_at', [strtotime('2024-11-19T10:00:00Z'), strtotime('2024-11-19T10:20:00Z')])->delete();
        $this->actingAs($this->author);
        $candidate = $this->candidate('TARN.Q');

        $this->get('/instruments/TARN.Q')->assertInertia(fn (AssertableInertia $page) => $page->loadDeferredProps(fn (AssertableInertia $deferred) => $deferred
            ->where('quality.missing', 1)
            ->where('quality.missingSessions', ['Wed 6 Nov 2024'])
            ->where('quality.fineExpected', 3 * 78)
            ->where('quality.finePresent', 3 * 78 - 5)
            ->has('charts', 7)));
        $marks = fn (string $frame): array => self::items($this->get("/plan/mark/{$candidate->id}?frame={$frame}")->inertiaProps('chart.marks'))->where('kind', 'missing')->pluck('label')->all();
        self::assertSame(['1 session is missing'], $marks('1d'));
        self::assertSame(['5 bars are missing'], $marks('5m'));
    }

    public function testEachInstrumentKeepsTheSessionsOfItsExchange(): void
    {
        $bars = app(BarRepository::class);
        $coin = $bars->from($this->instrument('LANT.Q'), TimeFrame::Day, (int) strtotime('2024-11-15T00:00:00Z'));
        self::assertContains('2024-11-17', array_column($coin, 'session'), 'a coin trades on Sundays');
        $pair = $bars->from($this->instrument('SKDO.Q'), TimeFrame::Day, (int) strtotime('2024-11-18T12:00:00Z'))[0];
        self::assertSame(['2024-11-19', '2024-11-18T22:00:00Z', '2024-11-19T22:00:00Z'], [$pair->session, gmdate('Y-m-d\TH:i:s\Z', $pair->start), gmdate('Y-m-d\TH:i:s\Z', $pair->end)]);
        $share = $bars->from($this->instrument('OAKL.Q'), TimeFrame::Day, (int) strtotime('2024-11-18T12:00:00Z'))[0];
        self::assertSame('2024-11-19', $share->session);

        $future = app(Calendars::class)->of($this->instrument('BRNZ.Q'));
        self::assertSame('2024-11-21', $future->running((int) strtotime(self::EVENING) + 3_600)?->date, 'its next session has opened already');
    }

    public function testTheHoursAroundTheSessionAreShownOnRequestAndMarked(): void
    {
        $candidate = $this->candidate('OAKL.Q');
        $this->actingAs($this->author);
        $this->get("/plan/mark/{$candidate->id}?frame=5m")->assertInertia(fn (AssertableInertia $page) => $page->where('chart.extended', [])->where('chart.times', fn ($times): bool => self::items($times)->last() === '15:55'));
        $this->patch('/settings/chart', ['averages' => [], 'panes' => [], 'extended' => true])->assertRedirect();
        $this->get("/plan/mark/{$candidate->id}?frame=5m")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('chart.extended', fn ($indexes): bool => count($indexes) > 5)
            ->where('chart.times', fn ($times): bool => self::items($times)->last() > '15:55'));
        $this->get("/plan/mark/{$candidate->id}")->assertInertia(fn (AssertableInertia $page) => $page->where('chart.extended', []));
    }

    public function testARollIsMarkedOnTheSeries(): void
    {
        app(MarketAdvance::class)->to((int) strtotime('2024-12-16T18:00:00Z'));
        $candidate = $this->candidate('BRNZ.Q');
        $marks = self::items($this->actingAs($this->author)->get("/plan/mark/{$candidate->id}")->inertiaProps('chart.marks'));

        self::assertSame('rolled from BRNZ-2412.Q to BRNZ-2503.Q', $marks->firstWhere('kind', 'roll')['label'] ?? null);
    }

    public function testBarsAreListedByTimeFrameAndExported(): void
    {
        $this->actingAs($this->author)->get('/instruments/OAKL.Q?frame=1w')->assertInertia(fn (AssertableInertia $page) => $page->where('bars.0.when', 'Mon 18 Nov 2024')->where('bars.0.unfinished', true));
        $csv = $this->get('/instruments/OAKL.Q/bars?frame=1d')->assertOk()->streamedContent();
        self::assertStringContainsString('OAKL.Q,1d,2024-11-20,', $csv);
        $this->get('/instruments/OAKL.Q/bars?frame=1w')->assertSessionHasErrors('frame');
    }

    public function testEventsStandAroundToday(): void
    {
        $events = MarketEvent::query()->where('instrument_id', $this->instrument('OAKL.Q')->id)->count();
        self::assertGreaterThan(40, $events);
        $dates = self::items($this->actingAs($this->author)->get('/instruments/OAKL.Q')->inertiaProps('page.events'))->pluck('date');
        self::assertSame($dates->sort()->values()->all(), $dates->all());
        self::assertTrue($dates->first() < '2024-11-20' && $dates->last() > '2024-11-20');
    }

    public function testAContractThatEndsBeforeTheSetupStopsPublication(): void
    {
        $contract = $this->instrument('BRNZ-2612.Q');
        $contract->update(['listed_on' => null, 'last_session' => '2024-11-25']);
        DB::table('bars')->insert(['instrument_id' => $contract->id, 'timeframe' => '1d', 'starts_at' => 1_732_060_800, 'ends_at' => 1_732_123_800, 'session' => '2024-11-20', 'open' => 24_000, 'high' => 24_100, 'low' => 23_900, 'close' => 24_000, 'volume' => 5]);
        $this->planned('BRNZ-2612.Q');
        $this->actingAs($this->author)->get('/plan/publish')->assertInertia(fn (AssertableInertia $page) => $page->where('check', fn ($lines): bool => self::items($lines)->contains(fn (array $line): bool => $line['stops'] && str_contains($line['message'], 'contract ends on 2024-11-25'))));
    }

    public function testTheExchangesAreListedWithTheirHours(): void
    {
        $this->actingAs($this->author)->get('/data')->assertInertia(fn (AssertableInertia $page) => $page
            ->component('Data')
            ->has('data.exchanges', count(QuayExchange::exchanges()))
            ->where('data.exchanges.0.hours', 'Mon to Fri, 09:30 to 16:00, Atlantic/Faroe')
            ->where('data.exchanges.0.extended', '08:00 to 18:00')
            ->loadDeferredProps(fn (AssertableInertia $deferred) => $deferred->has('instruments', Instrument::query()->count())->where('instruments.0.symbol', 'BRNZ-2612.Q')));
    }
}
