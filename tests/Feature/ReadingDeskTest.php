<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\MarkLevel;
use App\Levels\LevelWords;
use App\Levels\NewLevel;
use App\Market\BarRepository;
use App\Market\MarketAdvance;
use App\Models\Candidate;
use App\Models\ChartView;
use App\Models\MarketEvent;
use Illuminate\Support\Collection;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use Tests\World;

/** What stands beside the chart of a candidate, and how it is left. */
final class ReadingDeskTest extends TestCase
{
    use World;

    private Candidate $candidate;

    protected function setUp(): void
    {
        parent::setUp();
        $this->candidate = $this->candidate('OAKL.Q');
        $this->actingAs($this->author);
    }

    public function testTheFactsAreFewAndStandOutByTheAuthorsOwnLimits(): void
    {
        $days = app(BarRepository::class)->days($this->candidate->instrument, 30);
        $facts = $this->facts();
        $close = $days->close[$days->count() - 1];
        $before = $days->close[$days->count() - 2];

        self::assertSame(number_format(abs(($close / $before - 1) * 100), 2), trim((string) preg_replace('/[^\d.]/', '', (string) $facts['Change']['value'])));
        self::assertArrayNotHasKey('52-week place', $facts->all(), 'five weeks are too few');
        self::assertArrayNotHasKey('Expected range', $facts->all());
        self::assertSame('', $facts['Turnover']['caution']);
        $volume = array_slice($days->volume, -21);
        self::assertSame(number_format($volume[20] / (array_sum(array_slice($volume, 0, 20)) / 20), 1).' ×', $facts['Volume']['value']);

        $this->patch('/settings/limits', [...$this->limits(), 'turnover' => 1_000_000_000_000, 'stretchAtr' => 0.5])->assertRedirect();
        $facts = $this->facts();
        self::assertStringStartsWith('thin: below 1,000.0 bn', (string) $facts['Turnover']['caution']);
        self::assertSame('stretched: 0.5 ATR or more from a fast average', $facts['ATR from averages']['caution']);
    }

    public function testEarningsAreCountedInSessionsOfTheCalendar(): void
    {
        MarketEvent::query()->where('kind', 'earnings')->delete();
        // Wednesday evening; Thursday, Friday, Monday, Tuesday: the fourth session from now
        MarketEvent::query()->create(['key' => 'x', 'date' => '2024-11-26', 'kind' => 'earnings', 'title' => 'Report', 'instrument_id' => $this->candidate->instrument_id, 'side' => 'before', 'source' => 'test', 'announced_at' => 0]);

        self::assertSame(['in 4 sessions', 'within 10 sessions'], [$this->facts()['Earnings']['value'], $this->facts()['Earnings']['caution']]);
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('badLimits')]
    public function testLimitsAreChecked(array $change, string $field): void
    {
        $this->patch('/settings/limits', [...$this->limits(), ...$change])->assertSessionHasErrors($field);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function badLimits(): iterable
    {
        yield 'none' => [['streak' => null], 'streak'];
        yield 'a part of a session' => [['brokenFor' => 2.5], 'brokenFor'];
        yield 'below what makes sense' => [['relativeVolume' => 0.2], 'relativeVolume'];
        yield 'words' => [['farAt' => 'far'], 'farAt'];
    }

    public function testTheChartOpensAsItWasLeftForEachInstrument(): void
    {
        $view = ['frame' => '1w', 'larger' => '1mo', 'bars' => 60, 'back' => 12, 'layers' => ['own', 'pivots'], 'clean' => false, 'log' => true, 'low' => 40.5, 'high' => 80, 'strip' => true, 'snaps' => false];
        $this->patchJson("/plan/mark/{$this->candidate->id}/view", $view)->assertNoContent();

        $this->get("/plan/mark/{$this->candidate->id}")->assertInertia(fn (AssertableInertia $page) => $page
            ->where('view.layers', ['own', 'pivots'])
            ->where('view.back', 12)
            ->where('view.high', 80)
            ->where('chart.timeFrame', '1w')
            ->where('larger.timeFrame', '1mo'));
        $this->get("/plan/mark/{$this->candidate->id}?frame=1d&larger=")->assertInertia(fn (AssertableInertia $page) => $page->where('chart.timeFrame', '1d')->where('larger', null));
        $this->get('/plan/mark/'.$this->candidate('TARN.Q')->id)->assertInertia(fn (AssertableInertia $page) => $page->where('view.layers', ['own', 'check', 'gaps'])->where('chart.timeFrame', '1d')->where('larger.timeFrame', '1w'));
        $this->patchJson("/plan/mark/{$this->candidate->id}/view", [...$view, 'layers' => ['clouds']])->assertStatus(422);
        self::assertSame(1, ChartView::query()->count());
    }

    public function testAViewIsNoChangeOfTheDraft(): void
    {
        $this->patchJson("/plan/mark/{$this->candidate->id}/note", ['shape' => 'flag']);
        $before = $this->plan()->change_position;
        $this->patchJson("/plan/mark/{$this->candidate->id}/view", ['frame' => '1w', 'larger' => null, 'bars' => 60, 'back' => 0, 'layers' => [], 'clean' => true, 'log' => false, 'low' => null, 'high' => null, 'strip' => false, 'snaps' => true]);
        $this->postJson('/plan/undo')->assertJsonPath('message', 'Undone: shape of OAKL.Q.');

        self::assertSame($before - 1, $this->plan()->change_position);
        self::assertSame(1, ChartView::query()->count());
    }

    public function testTheStripIsDrawnOnlyWhenItIsAskedFor(): void
    {
        $this->get("/plan/mark/{$this->candidate->id}")->assertInertia(fn (AssertableInertia $page) => $page
            ->missing('strip')
            ->reloadOnly('strip', fn (AssertableInertia $again) => $again->has('strip', 8)->where('strip.0.timeFrame', '5m')->where('strip.4.panes', [])));
    }

    public function testAShapeIsNotedAndCanBeUndone(): void
    {
        $url = "/plan/mark/{$this->candidate->id}/note";
        $this->patchJson($url, ['shape' => ' double bottom ', 'cleanness' => 4])->assertOk()->assertJsonPath('note', ['shape' => 'double bottom', 'cleanness' => 4, 'speaksFor' => '', 'speaksAgainst' => '', 'conviction' => null, 'wrongIf' => '', 'wrongAt' => null]);
        $this->patchJson($url, ['speaksFor' => 'the group leads', 'speaksAgainst' => 'thin'])->assertJsonPath('note.speaksFor', 'the group leads')->assertJsonPath('note.shape', 'double bottom');
        $this->patchJson($url, ['cleanness' => 6])->assertStatus(422)->assertJsonValidationErrors(['cleanness' => 'Rate it from 1 to 5.']);
        $this->patchJson($url, ['shape' => str_repeat('x', 61)])->assertStatus(422)->assertJsonValidationErrors('shape');
        $this->patchJson($url, ['cleanness' => null])->assertJsonPath('note.cleanness', null);
        $this->postJson('/plan/undo')->assertJsonPath('message', 'Undone: how clean of OAKL.Q.');

        self::assertSame(4, $this->candidate->refresh()->cleanness);
    }

    public function testHowLevelsDidIsCountedByOriginGradeAndTimeFrame(): void
    {
        $this->get('/levels')->assertInertia(fn (AssertableInertia $page) => $page->component('LevelHistory')->where('history.all.all', 0)->where('history.levels', []));
        $close = app(BarRepository::class)->lastClose($this->candidate->instrument) ?? 0;
        $mark = app(MarkLevel::class);
        $mark($this->candidate, NewLevel::at($close + 1, 'high of 2024-11-18'));
        $mark($this->candidate, NewLevel::at($close + 5, 'high of 2024-11-19'));
        $mark($this->candidate, NewLevel::at(1_000));
        app(MarketAdvance::class)->to((int) strtotime('2024-12-10T22:00:00Z'));

        $this->get('/levels')->assertInertia(fn (AssertableInertia $page) => $page
            ->where('history.all.all', 3)
            ->where('history.all.untouched', 1)
            ->where('history.all.rate', null)
            ->where('history.byOrigin.0.name', 'high')
            ->where('history.byOrigin.0.all', 2)
            ->where('history.byOrigin.0.untouched', 0)
            ->where('history.byOrigin.1.name', 'own reading')
            ->where('history.byGrade.0.name', 'minor')
            ->where('history.byTimeFrame.0.name', '1d')
            ->where('history.levels', fn (mixed $levels): bool => self::items($levels)->contains(fn (array $level): bool => $level['reaction'] === 'not touched since it was marked')
                && self::items($levels)->contains(fn (array $level): bool => str_starts_with((string) $level['reaction'], 'first touched on '))));
    }

    #[DataProvider('origins')]
    public function testAnOriginIsOneOfAKind(string $origin, string $kind): void
    {
        self::assertSame($kind, LevelWords::kindOf($origin));
    }

    /** @return iterable<string, array{string, string}> */
    public static function origins(): iterable
    {
        foreach ([
            'high of the previous week (2026-10-05)' => 'high of the previous week',
            'low of 2026-10-06' => 'low',
            '60-session high' => 'n-session high',
            'held 12 of 21 visits, 5 swings, role changed' => 'zone of turns',
            'not visited since, one swing' => 'zone of turns',
            'gap up of 2026-07-02, filled to 20 %' => 'gap up',
            'rising line under 4 swing lows since 2026-03-02' => 'trend line',
            '38.2 % back of the move 2026-01-05 to 2026-03-02' => 'retracement',
            '61.8 % back, move of 2026-01-05 to 2026-03-02' => 'retracement',
            '127.2 %, move of 2026-01-05 to 2026-03-02' => 'projection',
            'R1 of the previous session (2026-10-13)' => 'pivot point',
            'SMA 50' => 'average',
            '3 levels of 2 kinds' => 'several together',
            'Old Shelf' => 'old shelf',
        ] as $origin => $kind) {
            yield $origin => [$origin, $kind];
        }
    }

    /** @return Collection<string, array<string, mixed>> by label */
    private function facts(): Collection
    {
        /** @var array{props: array{facts: list<array<string, mixed>>}} $page */
        $page = $this->get("/plan/mark/{$this->candidate->id}")->assertOk()->viewData('page');

        /** @var Collection<string, array<string, mixed>> */
        return collect($page['props']['facts'])->map(static fn (mixed $fact): array => (array) $fact)->keyBy('label');
    }

    /** @return array<string, float|int> */
    private function limits(): array
    {
        return ['relativeVolume' => 1.5, 'stretchAtr' => 3, 'deviations' => 2, 'streak' => 4, 'earningsSessions' => 10, 'turnover' => 0, 'brokenFor' => 40, 'farAt' => 15, 'accountValue' => 100_000, 'riskPercent' => 0.5, 'leastReward' => 1.5, 'noiseAtr' => 0.5, 'volumeShare' => 2, 'sideShare' => 80, 'groupMost' => 3, 'farFor' => 20];
    }
}
