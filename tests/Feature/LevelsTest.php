<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\KeepSetting;
use App\Actions\MarkLevel;
use App\Levels\CrossChecks;
use App\Levels\NewLevel;
use App\Market\MarketAdvance;
use App\Models\Candidate;
use App\Models\Level;
use App\Models\LevelChange;
use App\Reading\Limits;
use Illuminate\Support\Collection;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Market\TimeFrame;

/** Levels as objects: their forms, their life, and what the cross-check lays beside them. OAKL.Q stands at about 166. */
final class LevelsTest extends TestCase
{
    use World;

    private Candidate $candidate;

    protected function setUp(): void
    {
        parent::setUp();
        $this->candidate = $this->candidate('OAKL.Q');
        $this->actingAs($this->author);
    }

    public function testAZoneHasTwoEdgesAndMovesAsAWhole(): void
    {
        $this->mark(['form' => 'zone', 'low' => '57.00', 'high' => '57.40', 'origin' => 'base', 'timeFrame' => '1w', 'note' => 'seen in May'])->assertOk();
        $level = Level::query()->sole();
        self::assertSame([5_700, 5_740, 5_720, '1w', 'seen in May', '2024-11-20'], [$level->low, $level->high, $level->price, $level->time_frame->value, $level->note, $level->marked_on]);
        self::assertSame(['57.00–57.40', '57.40'], [$this->row()['span'], $this->row()['price']], 'price stands above: the upper edge is the nearer one');

        $this->change($level, ['price' => '57.50'])->assertOk();
        self::assertSame([5_710, 5_750], [$level->refresh()->low, $level->high]);
        $this->change($level, ['low' => '57.30', 'high' => '57.50'])->assertOk();
        self::assertSame([5_730, 5_750, 5_740], [$level->refresh()->low, $level->high, $level->price]);
        $this->change($level, ['low' => '57.50', 'high' => '57.50'])->assertOk();
        self::assertSame(['price', 5_750, null], [$level->refresh()->form->value, $level->price, $level->low]);
    }

    public function testALineIsReadInTheNextSessionsAndMovesInParallel(): void
    {
        $this->mark(['form' => 'line', 'from' => ['session' => '2024-11-06', 'price' => '50.00'], 'to' => ['session' => '2024-11-20', 'price' => '51.00']])->assertOk();
        $level = Level::query()->sole();
        // ten sessions lie between the two points: 0.10 in each
        self::assertSame(['51.10', 'trend line', true], [$this->row()['price'], $this->row()['label'], $this->row()['movable']]);
        self::assertSame(['next session 51.10', 'in 2 sessions 51.20', 'in 5 sessions 51.50', 'in 10 sessions 52.00'], $this->sheet($level)['ahead']);
        $curve = (array) $this->row()['curve'];
        self::assertEqualsWithDelta([51.0, 51.1], array_slice($curve, -2), 1e-9);
        self::assertCount(count((array) $this->bench()['sessions']), $curve);

        $this->change($level, ['price' => '51.60'])->assertOk();
        self::assertSame('51.60', $this->row()['price']);
        $this->change($level, ['parallel' => ['session' => '2024-11-06', 'price' => '53.00']])->assertOk();
        self::assertSame('51.60–54.10', $this->row()['span']);
    }

    public function testAnAverageFollowsPriceAndASetOfRungsItsTwoPoints(): void
    {
        $this->mark(['form' => 'average', 'average' => 'sma', 'period' => 20])->assertOk();
        $average = Level::query()->sole();
        self::assertSame('SMA 20', $this->row()['label']);
        $this->change($average, ['price' => '50.00'])->assertStatus(422)->assertJsonValidationErrors(['price' => 'An average follows price']);
        $this->change($average, ['period' => 10])->assertOk();
        self::assertSame('SMA 10', $this->row()['label']);
        $this->mark(['form' => 'average', 'average' => 'sma', 'period' => 200])->assertStatus(422)->assertJsonValidationErrors(['period' => 'There are too few bars for SMA 200.']);
        $average->delete();

        $this->mark(['form' => 'swing', 'from' => ['session' => '2024-10-21', 'price' => '100.00'], 'to' => ['session' => '2024-11-04', 'price' => '300.00']])->assertOk();
        $rungs = $this->own();
        self::assertContains('50 % back, move of 2024-10-21 to 2024-11-04', $rungs->pluck('label')->all());
        self::assertSame('200.00', $rungs->firstWhere('label', '50 % back, move of 2024-10-21 to 2024-11-04')['price']);
        self::assertSame([1], $rungs->pluck('levelId')->map(static fn (mixed $id): int => $id === Level::query()->sole()->id ? 1 : 0)->unique()->all());
    }

    /**
     * @param array<string, mixed> $level
     */
    #[DataProvider('refusals')]
    public function testWhatCannotBeALevelIsRefusedAtItsField(array $level, string $field, string $message): void
    {
        $this->mark($level)->assertStatus(422)->assertJsonValidationErrors([$field => $message]);
        self::assertSame(0, Level::query()->count());
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function refusals(): iterable
    {
        $point = static fn (string $session, string $price): array => ['session' => $session, 'price' => $price];
        yield 'edges the wrong way round' => [['form' => 'zone', 'low' => '58.00', 'high' => '57.00'], 'low', 'must not be above'];
        yield 'an edge off the tick' => [['form' => 'zone', 'low' => '57.001', 'high' => '58.00'], 'low', 'more than the 2 decimals'];
        yield 'one point' => [['form' => 'line', 'from' => $point('2024-11-06', '50.00')], 'to.price', 'Two points are needed'];
        yield 'both in one session' => [['form' => 'line', 'from' => $point('2024-11-06', '50.00'), 'to' => $point('2024-11-06', '51.00')], 'to.session', 'different sessions'];
        yield 'no such date' => [['form' => 'line', 'from' => $point('6 Nov', '50.00'), 'to' => $point('2024-11-06', '51.00')], 'from.session', 'Write the date like'];
        yield 'a line that falls below 0' => [['form' => 'line', 'from' => $point('2024-11-18', '60.00'), 'to' => $point('2024-11-20', '20.00'), 'sure' => true], 'to.price', 'no price above 0'];
        yield 'an average without its length' => [['form' => 'average', 'average' => 'ema'], 'period', 'its kind and its length'];
        yield 'a VWAP from nowhere' => [['form' => 'average', 'average' => 'vwap'], 'since', 'the session it counts from'];
        yield 'a mark without words' => [['form' => 'mark', 'price' => '57.00'], 'mark', 'Say what it is'];
        yield 'a move of nothing' => [['form' => 'swing', 'from' => $point('2024-11-06', '50.00'), 'to' => $point('2024-11-07', '50.00')], 'to.price', 'two different prices'];
    }

    public function testAMarkKeepsItsWordingAndDateUntilItIsMoved(): void
    {
        $this->mark(['form' => 'mark', 'price' => '57.00', 'mark' => 'low of the previous week', 'session' => '2024-11-11'])->assertOk();
        $level = Level::query()->sole();
        self::assertSame(['low of the previous week (2024-11-11)', 'low of the previous week', '2024-11-11'], [$level->origin, $level->terms()->mark, $level->terms()->session]);

        $this->change($level, ['price' => '57.10'])->assertOk();
        self::assertSame(['price', null], [$level->refresh()->form->value, $level->terms]);
    }

    public function testAPriceOffByAFactorIsQuestionedAndKeptWhenItIsMeant(): void
    {
        $price = $this->price('OAKL.Q', 0.02);
        $price = substr($price, 0, -1).'0';
        $slip = substr(str_replace('.', '', $price), 0, -3).'.'.substr(str_replace('.', '', $price), -3, 2);

        $this->mark(['price' => $slip])->assertStatus(422)->assertJsonValidationErrors(['price' => 'a tenth of the last close', 'doubt' => $price]);
        $this->postJson("/plan/mark/{$this->candidate->id}/use", ['price' => $slip, 'as' => 'stop'])->assertStatus(422)->assertJsonValidationErrors('doubt');
        $this->patchJson("/plan/mark/{$this->candidate->id}/setup", ['entry' => $slip])->assertStatus(422)->assertJsonValidationErrors(['entry.price' => 'a tenth of', 'doubt' => $price]);
        $this->mark(['price' => $slip, 'sure' => true])->assertOk();
        self::assertSame($slip, number_format(Level::query()->sole()->price / 100, 2, '.', ''));
    }

    public function testEveryChangeIsInTheHistoryAlsoWhatIsUndone(): void
    {
        $this->mark(['price' => '57.00']);
        $level = Level::query()->sole();
        $this->change($level, ['price' => '57.20']);
        $this->change($level, ['origin' => 'swing low', 'grade' => 'major', 'note' => 'twice in June']);
        $this->postJson('/plan/undo');
        $this->postJson('/plan/undo');
        $history = array_column((array) $this->sheet($level->refresh())['history'], 'what');

        self::assertSame([
            'undone: move of level 57.00 to 57.20 on OAKL.Q',
            'undone: change of level 57.20 on OAKL.Q',
            'note: twice in June',
            'now major',
            'named "swing low", before "own reading"',
            'moved from 57.00 to 57.20',
            'marked: 57.00, own reading',
        ], $history);
        self::assertSame(['Maren'], LevelChange::query()->distinct()->pluck('by')->all());
    }

    public function testALevelIsLaidAsideByHandAndTakenBack(): void
    {
        $this->mark(['price' => '57.00']);
        $level = Level::query()->sole();
        $this->postJson("/plan/mark/{$this->candidate->id}/levels/{$level->id}/retire")->assertOk()->assertJsonPath('retired.0.because', 'laid aside by the author')->assertJsonPath('candidate.levelCount', 0);
        self::assertCount(0, $this->own());
        $this->mark(['price' => '57.00', 'sure' => true])->assertStatus(422)->assertJsonValidationErrors(['price' => 'A level at 57.00 is laid aside: restore it instead.']);
        $this->postJson('/plan/undo');
        self::assertCount(1, $this->own());
        $this->postJson('/plan/redo');
        $this->postJson("/plan/mark/{$this->candidate->id}/levels/{$level->id}/restore")->assertOk()->assertJsonPath('retired', []);
        self::assertTrue($level->refresh()->kept);
    }

    public function testLevelsThatNoLongerMatterRetireWhenASessionIsOver(): void
    {
        (new KeepSetting())($this->author, Limits::NAME, ['relativeVolume' => 2, 'stretchAtr' => 3, 'deviations' => 2, 'streak' => 4, 'earningsSessions' => 5, 'turnover' => 0, 'brokenFor' => 40, 'farAt' => 5, 'farFor' => 2]);
        $far = app(MarkLevel::class)($this->candidate, NewLevel::at(3_000));
        $kept = app(MarkLevel::class)($this->candidate, NewLevel::at(3_100));
        $near = app(MarkLevel::class)($this->candidate, NewLevel::at((int) round((float) $this->price('OAKL.Q', 0.0) * 100)));
        $kept->update(['kept' => true]);
        $market = app(MarketAdvance::class);

        $market->to((int) strtotime('2024-11-22T15:00:00Z'));
        self::assertNull($far->refresh()->retired_at, 'a session is under way');
        $market->to((int) strtotime('2024-11-22T22:00:00Z'));
        self::assertSame('5 ATR away or more for 2 sessions', $far->refresh()->retired_because);
        self::assertSame([null, null], [$kept->refresh()->retired_at, $near->refresh()->retired_at]);
        self::assertSame(['Watchpost', 'laid aside by itself: 5 ATR away or more for 2 sessions'], array_values(LevelChange::query()->latest('id')->firstOrFail()->only(['by', 'what'])));
    }

    public function testAGapThatWasTakenOverRetiresOnceItIsFilled(): void
    {
        $close = (int) round((float) $this->price('OAKL.Q', 0.0) * 100);
        $filled = app(MarkLevel::class)($this->candidate, NewLevel::at($close - 1, 'gap up of 2024-11-01, open'));
        $open = app(MarkLevel::class)($this->candidate, NewLevel::at(intdiv($close, 2), 'gap up of 2024-10-18, open'));
        // price trades below the close of the 20th on at least one of these
        app(MarketAdvance::class)->to((int) strtotime('2024-11-27T22:00:00Z'));

        self::assertSame(['its gap is filled', ''], [$filled->refresh()->retired_because, $open->refresh()->retired_because]);
    }

    public function testTheCrossCheckIsLaidBesideTheAuthorsOwn(): void
    {
        $found = $this->found()->firstWhere('layer', 'marks');
        $this->mark(['price' => $found['price']])->assertOk();
        $this->mark(['price' => '20.00', 'sure' => true])->assertOk();

        self::assertSame('agrees', $this->own()->firstWhere('price', $found['price'])['agreement']);
        self::assertSame('only mine', $this->own()->firstWhere('price', '20.00')['agreement']);
        self::assertSame('agrees', $this->found()->firstWhere('key', $found['key'])['agreement']);
        self::assertContains('only found', $this->found()->pluck('agreement')->all());
        self::assertEqualsCanonicalizing(['marks', 'pivots', 'averages', 'rounds'], $this->found()->pluck('layer')->unique()->intersect(['marks', 'pivots', 'averages', 'rounds'])->values()->all());
        $evidence = self::items($this->getJson("/plan/mark/{$this->candidate->id}/cross-check")->assertOk()->json());
        self::assertSame([], $this->found()->pluck('key')->diff($evidence->pluck('key'))->all());
        self::assertLessThan($evidence->count(), $this->found()->count(), 'what says the same price stands in one row');
        self::assertNotSame('', $evidence->first()['why']);
    }

    public function testAFoundLevelIsTakenOverWithItsReason(): void
    {
        $mark = $this->found()->first(static fn (array $row): bool => str_contains($row['label'], 'high of the previous week'));
        $this->postJson("/plan/mark/{$this->candidate->id}/adopt", ['key' => $mark['key']])->assertOk();
        $level = Level::query()->sole();
        self::assertSame(['mark', 'high of the previous week (2024-11-11)', 'major', 'high of the previous week', '2024-11-11'], [$level->form->value, $level->origin, $level->grade->value, $level->terms()->mark, $level->terms()->session]);

        $average = $this->found()->first(static fn (array $row): bool => $row['label'] === 'EMA 20');
        $this->postJson("/plan/mark/{$this->candidate->id}/adopt", ['key' => $average['key']])->assertOk();
        self::assertSame('ema', Level::query()->latest('id')->firstOrFail()->terms()->average);
        $this->postJson("/plan/mark/{$this->candidate->id}/adopt", ['key' => $mark['key']])->assertStatus(422)->assertJsonValidationErrors(['price' => 'already']);
        $this->postJson("/plan/mark/{$this->candidate->id}/adopt", ['key' => 'found-nothing'])->assertStatus(422)->assertJsonValidationErrors(['key' => 'has changed meanwhile']);
    }

    public function testAskedForAnEarlierEveningTheCrossCheckKnowsNoMore(): void
    {
        $checks = app(CrossChecks::class);
        $then = array_column($checks->of($this->candidate->instrument, $this->author, TimeFrame::Day), 'found');
        app(MarketAdvance::class)->to((int) strtotime('2024-11-27T22:00:00Z'));
        $again = array_column($checks->of($this->candidate->instrument, $this->author, TimeFrame::Day, '2024-11-20'), 'found');

        self::assertEquals($then, $again);
        self::assertNotEquals($then, array_column($checks->of($this->candidate->instrument, $this->author, TimeFrame::Day), 'found'));
        $this->getJson("/plan/mark/{$this->candidate->id}/workbench?as_of=2024-11-20")->assertOk()->assertJsonPath('asOf', '2024-11-20');
        $this->getJson("/plan/mark/{$this->candidate->id}/workbench?as_of=yesterday")->assertStatus(422);
    }

    public function testASmallerChartBringsItsOwnZones(): void
    {
        $frames = fn (string $frame): array => self::items($this->getJson("/plan/mark/{$this->candidate->id}/workbench?frame={$frame}")->json('ladder'))->pluck('timeFrame')->unique()->filter()->values()->all();

        self::assertContains('1h', $frames('1h'));
        self::assertNotContains('1h', $frames('1d'));
    }

    public function testWhatIsSealedIsWhatWasMarked(): void
    {
        $candidate = $this->planned('TARN.Q');
        $edge = $this->price('TARN.Q', -0.02);
        $this->postJson("/plan/mark/{$candidate->id}/levels", ['form' => 'zone', 'low' => $this->price('TARN.Q', -0.03), 'high' => $edge, 'origin' => 'base']);
        $this->postJson("/plan/mark/{$candidate->id}/levels", ['price' => $this->price('TARN.Q', 0.09)]);
        $aside = Level::query()->latest('id')->firstOrFail();
        $this->postJson("/plan/mark/{$candidate->id}/levels/{$aside->id}/retire");
        $this->deleteJson("/plan/candidates/{$this->candidate->id}");
        $document = json_decode($this->publish()->document, true, 512, JSON_THROW_ON_ERROR);

        self::assertSame([['grade' => 'minor', 'high' => $edge, 'low' => $this->price('TARN.Q', -0.03), 'origin' => 'base', 'price' => $edge]], $document['candidates'][0]['levels']);
    }

    /**
     * @param array<string, mixed> $level
     *
     * @return TestResponse<Response>
     */
    private function mark(array $level): TestResponse
    {
        return $this->postJson("/plan/mark/{$this->candidate->id}/levels", $level);
    }

    /**
     * @param array<string, mixed> $changes
     *
     * @return TestResponse<Response>
     */
    private function change(Level $level, array $changes): TestResponse
    {
        return $this->patchJson("/plan/mark/{$this->candidate->id}/levels/{$level->id}", $changes);
    }

    /** @return array<string, mixed> */
    private function bench(): array
    {
        /** @var array<string, mixed> */
        return $this->getJson("/plan/mark/{$this->candidate->id}/workbench")->assertOk()->json();
    }

    /** @return array<string, mixed> */
    private function sheet(Level $level): array
    {
        /** @var array<string, mixed> */
        return $this->getJson("/plan/mark/{$this->candidate->id}/levels/{$level->id}")->assertOk()->json();
    }

    /** @return Collection<int, array<string, mixed>> */
    private function own(): Collection
    {
        /** @var Collection<int, array<string, mixed>> */
        return self::items($this->bench()['ladder'])->where('kind', 'level')->values();
    }

    /** @return Collection<int, array<string, mixed>> */
    private function found(): Collection
    {
        /** @var Collection<int, array<string, mixed>> */
        return self::items($this->bench()['ladder'])->where('kind', 'found')->values();
    }

    /** @return array<string, mixed> */
    private function row(): array
    {
        return $this->own()->firstOrFail();
    }
}
