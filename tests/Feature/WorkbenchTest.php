<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Market\BarRepository;
use App\Market\ChartBuilder;
use App\Market\MarketAdvance;
use App\Models\Candidate;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;
use Tests\World;
use Watchpost\Core\Market\TimeFrame;

/** What the author's screens are told. */
final class WorkbenchTest extends TestCase
{
    use World;

    public function testTheLadderTellsDistancesAndR(): void
    {
        $candidate = $this->planned('OAKL.Q', entry: 0.01, stop: -0.03, target: 0.09);
        $this->actingAs($this->author)->postJson("/plan/mark/{$candidate->id}/levels", ['price' => $this->price('OAKL.Q', 0.05), 'grade' => 'major', 'origin' => 'swing high'])->assertOk();
        $ladder = collect((array) $this->workbench($candidate)['ladder']);

        self::assertSame(['target', 'level', 'entry', 'last', 'stop'], $ladder->pluck('kind')->all());
        $level = $ladder->firstWhere('kind', 'level');
        self::assertSame(['swing high', 'major', '5.00'], [$level['label'], $level['grade'], $level['percent']]);
        self::assertEqualsWithDelta(1.0, (float) $level['r'], 0.02);
        self::assertGreaterThan(0, (float) $level['atr']);
        self::assertSame(['0.00', '-1.00'], [$ladder->firstWhere('kind', 'entry')['r'], $ladder->firstWhere('kind', 'stop')['r']]);
    }

    public function testThereIsNoRBeforeEntryAndStopAreSet(): void
    {
        $candidate = $this->candidate('OAKL.Q');
        $this->actingAs($this->author)->patchJson("/plan/mark/{$candidate->id}/setup", ['entry' => $this->price('OAKL.Q', 0.01)])->assertOk();
        $bench = $this->workbench($candidate);

        self::assertSame([null], collect((array) $bench['ladder'])->pluck('r')->unique()->values()->all());
        self::assertSame([null, null, ['stop']], [$bench['setup']['scale'], $bench['setup']['sentence'], $bench['setup']['missing']]);
    }

    public function testAnEntryThatPriceHasReachedIsWarnedOf(): void
    {
        $candidate = $this->planned('OAKL.Q', entry: -0.01, stop: -0.05);
        $this->actingAs($this->author)->patchJson("/plan/mark/{$candidate->id}/setup", ['trigger' => 'break'])->assertOk();

        self::assertCount(1, $this->workbench($candidate)['setup']['warnings']);
        $this->get('/plan/publish')->assertInertia(fn ($page) => $page->where('check.0.stops', false)->where('check.0.message', 'OAKL.Q: price is at the entry already: it would be filled at the next open.'));
    }

    public function testGoodUntilFollowsTheCalendar(): void
    {
        // Thursday 21 November and four more sessions
        $candidate = $this->planned('OAKL.Q');

        self::assertSame('Wed 27 Nov', $this->workbench($candidate)['setup']['goodUntil']);
    }

    public function testTheChartHoldsAsManySessionsAsThereAreAndItsAveragesBeginWhenDefined(): void
    {
        $candidate = $this->candidate('TARN.Q');
        $this->actingAs($this->author)->get("/plan/mark/{$candidate->id}")->assertInertia(fn ($page) => $page
            ->component('MarkAndPlan')
            ->has('chart.sessions', 28)
            ->where('chart.averages.0.name', 'EMA 20')
            ->where('chart.averages.0.values.18', null)
            ->where('chart.averages.0.values.19', fn (mixed $value): bool => is_numeric($value))
            ->where('chart.averages.1.values.27', null)
            ->where('chart.unfinished', false));
    }

    #[DataProvider('frames')]
    public function testTheChartIsBuiltInEveryTimeFrame(string $frame, int $bars, string $first, bool $unfinished): void
    {
        $candidate = $this->candidate('TARN.Q');
        $this->actingAs($this->author)->get("/plan/mark/{$candidate->id}?frame={$frame}")->assertInertia(fn ($page) => $page
            ->where('chart.timeFrame', $frame)
            ->has('chart.sessions', $bars)
            ->where('chart.sessions.0', $first)
            ->where('chart.unfinished', $unfinished)
            ->where('chart.times', fn ($times): bool => count($times) === (in_array($frame, ['5m', '30m', '1h', '4h'], true) ? $bars : 0)));
    }

    /** @return iterable<string, array{string, int, string, bool}> */
    public static function frames(): iterable
    {
        // bars of five minutes are kept for three sessions, the last of them Wednesday 20 November 2024
        yield '5m' => ['5m', 234, '2024-11-18', false];
        yield '30m' => ['30m', 39, '2024-11-18', false];
        yield '1h' => ['1h', 21, '2024-11-18', false];
        yield '4h' => ['4h', 6, '2024-11-18', false];
        yield '1d' => ['1d', 28, '2024-10-14', false];
        yield '1w' => ['1w', 6, '2024-10-14', true];
        yield '1mo' => ['1mo', 2, '2024-10-14', true];
        yield '3mo' => ['3mo', 1, '2024-10-14', true];
    }

    public function testAWeekUnderWayHoldsTheSessionUnderWay(): void
    {
        app(MarketAdvance::class)->to((int) strtotime('2024-11-21T10:00:00Z'));
        $bars = app(BarRepository::class);
        $tarn = $this->instrument('TARN.Q');

        self::assertSame($bars->days($tarn, 1)->lastClose(), $bars->series($tarn, TimeFrame::Week, 3)->lastClose());
        self::assertSame($bars->days($tarn, 1)->lastClose(), $bars->series($tarn, TimeFrame::Hour, 3)->lastClose());
        self::assertCount(3, $bars->series($tarn, TimeFrame::Hour, 3)->close);
    }

    public function testATimeFrameThatIsNoneIsRefused(): void
    {
        $candidate = $this->candidate('TARN.Q');
        $this->actingAs($this->author)->getJson("/plan/mark/{$candidate->id}?frame=2h")->assertStatus(422)->assertJsonValidationErrors('frame');
    }

    public function testTheAtrIsToldInThePricesOfTheInstrument(): void
    {
        $charts = app(ChartBuilder::class);
        $series = $charts->series($this->instrument('GRIT.Q'), 60);

        self::assertSame($series->grid->format((int) round($charts->atr($series) ?? 0)), $this->workbench($this->candidate('GRIT.Q'))['atr']);
    }

    public function testTheWalkBeginsWithTheFirstCandidateThatStillNeedsAPlan(): void
    {
        $this->actingAs($this->author)->get('/plan/mark')->assertRedirect('/plan/candidates');
        $this->planned('OAKL.Q');
        $open = $this->candidate('TARN.Q');

        $this->get('/plan/mark')->assertRedirect("/plan/mark/{$open->id}");
    }

    public function testTheDayLineTellsWhereThePlanStands(): void
    {
        $this->planned('OAKL.Q');
        $this->candidate('TARN.Q');
        $this->actingAs($this->author)->get('/plan/candidates')->assertInertia(fn ($page) => $page
            ->where('dayLine.0.note', 'nothing published')
            ->where('dayLine.1.note', 'no stance yet')
            ->where('dayLine.2.note', '1 of 2 undecided')
            ->where('dayLine.3.note', '1 of 1 planned')
            ->where('dayLine.3.done', true)
            ->where('dayLine.4.note', 'not ready')
            ->has('dayLine', 6));
        $this->actingAs($this->pilot)->get('/editions')->assertInertia(fn ($page) => $page->where('dayLine', []));
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('stops')]
    public function testWhatStopsAPlan(array $change, ?string $says): void
    {
        $candidate = $this->planned('OAKL.Q');
        $this->actingAs($this->author);
        if (isset($change['setup'])) {
            $this->patchJson("/plan/mark/{$candidate->id}/setup", $change['setup'])->assertOk();
        }
        if (isset($change['clear'])) {
            $this->deleteJson("/plan/mark/{$candidate->id}/setup")->assertOk();
        }
        if (isset($change['judge'])) {
            $this->patchJson("/plan/candidates/{$candidate->id}", $change['judge'] + ['readers' => 'harbour', 'reason' => ''])->assertRedirect();
        }
        $this->get('/plan/publish')->assertInertia(fn ($page) => $says === null
            ? $page->where('check', fn ($lines): bool => $lines->where('stops', true)->isEmpty())
            : $page->where('check', fn ($lines): bool => $lines->where('stops', true)->pluck('message')->contains($says)));
    }

    /** @return iterable<string, array{array<string, mixed>, ?string}> */
    public static function stops(): iterable
    {
        yield 'a whole setup: nothing' => [[], null];
        yield 'no stop' => [['setup' => ['stop' => null]], 'OAKL.Q: the setup has no stop yet.'];
        yield 'no entry' => [['setup' => ['entry' => null]], 'OAKL.Q: the setup has no entry yet.'];
        yield 'no setup' => [['clear' => true], 'OAKL.Q is kept but has no setup: plan it, or pass it with a reason.'];
        yield 'neither kept nor passed' => [['judge' => ['state' => 'new']], 'OAKL.Q is neither kept nor passed.'];
        yield 'nothing kept' => [['judge' => ['state' => 'passed', 'reason' => 'Too thin.']], 'No candidate is kept yet.'];
    }

    public function testAPriceThatLooksLikeASlipIsAskedAboutAgainBeforePublishing(): void
    {
        $candidate = $this->planned('OAKL.Q');
        $this->actingAs($this->author);
        $questions = fn (): array => self::items($this->get('/plan/publish')->inertiaProps('check'))->where('stops', false)->pluck('message')->filter(static fn (mixed $one): bool => is_string($one) && str_contains($one, 'meant?'))->values()->all();
        self::assertSame([], $questions());

        $close = app(BarRepository::class)->lastClose($candidate->instrument) ?? 0;
        $grid = $candidate->instrument->grid();
        $this->postJson("/plan/mark/{$candidate->id}/levels", ['price' => $grid->format(10 * $close), 'sure' => true])->assertOk();
        $this->patchJson("/plan/mark/{$candidate->id}/setup", ['targets' => [['price' => $grid->format(100 * $close), 'share' => '1']], 'sure' => true])->assertOk();

        self::assertSame([
            "OAKL.Q: the level {$grid->format(10 * $close)} is about 10 times the last close, {$grid->format($close)}. Was {$grid->format($close)} meant?",
            "OAKL.Q, setup: target 1 {$grid->format(100 * $close)} is about 100 times the last close, {$grid->format($close)}. Was {$grid->format($close)} meant?",
        ], $questions());
    }

    public function testTheBiasIsKeptAndHeadsTheEdition(): void
    {
        $this->planned('OAKL.Q');
        $this->actingAs($this->assistant)->patch('/plan/bias', ['bias' => ' Strength is bought on pullbacks. '])->assertRedirect();
        $this->publish();

        $this->actingAs($this->harbour)->get('/editions/1')->assertInertia(fn ($page) => $page->where('edition.bias', 'Strength is bought on pullbacks.'));
    }

    public function testALastCloseIsAlwaysOnTheLadder(): void
    {
        $ladder = $this->workbench($this->candidate('TARN.Q'))['ladder'];
        $close = app(BarRepository::class)->days($this->instrument('TARN.Q'), 1)->lastClose() ?? 0;

        self::assertSame([['last', $this->instrument('TARN.Q')->grid()->format($close)]], array_map(static fn (array $row): array => [$row['kind'], $row['price']], $ladder));
    }

    /** @return array<string, mixed> without the cross-check, which has a test of its own */
    private function workbench(Candidate $candidate): array
    {
        /** @var array<string, mixed> $bench */
        $bench = $this->actingAs($this->author)->getJson("/plan/mark/{$candidate->id}/workbench")->assertOk()->json();

        return [...$bench, 'ladder' => self::items($bench['ladder'])->where('kind', '!=', 'found')->values()->all()];
    }
}
