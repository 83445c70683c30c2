<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every trigger and condition of rules.md, on hand-worked bars; the numbers with a T are those of edge-cases.md. */
final class TriggersTest extends TestCase
{
    /**
     * @param list<string>         $story    the events
     * @param array<string, mixed> $expected parts of the result
     */
    #[DataProvider('closes')]
    #[DataProvider('opens')]
    #[DataProvider('staged')]
    #[DataProvider('conditions')]
    public function testWhatHappened(Scenario $scenario, array $story, array $expected = []): void
    {
        self::assertSame($story, $scenario->story());
        $result = $scenario->outcome()->toArray();
        foreach ($expected as $key => $value) {
            self::assertSame($value, $result[$key], $key);
        }
    }

    /** @return iterable<string, array{0: Scenario, 1: list<string>, 2?: array<string, mixed>}> */
    public static function closes(): iterable
    {
        $kelp = static fn (array $more = []): Scenario => Scenario::legs('long', [['kind' => 'close_beyond', 'price' => '12.60', 'timeframe' => '1d', 'fill' => 'close', ...$more]], '12.00');
        yield 'T9 a pierce is no close' => [
            $kelp()->day('12.50/12.84/12.40/12.52'),
            ['expired'],
            ['status' => 'not_triggered', 'missed_by' => ['leg' => 'leg 1', 'price' => '0.08', 'percent' => '0.63', 'session' => '2026-10-15']],
        ];
        yield 'T7 a close at the price is not beyond it' => [$kelp()->day('12.50/12.84/12.40/12.60'), ['expired']];
        yield 'T12 at that close' => [$kelp()->day('12.50/12.84/12.40/12.75')->day('12.80/12.90/12.70/12.85'), ['fill 12.75 x1'], ['mfe_r' => '0.2500', 'mae_r' => '-0.0833', 'r' => '0.1667']];
        yield 'T12 at the next open' => [
            $kelp(['fill' => 'next_open'])->day('12.50/12.84/12.40/12.75')->day('12.80/12.90/12.70/12.85'),
            ['fill 12.80 x1'],
            ['first_fill_at' => '2026-10-16T08:30:00Z'],
        ];
        yield 'T12 the next open lies past the target' => [
            $kelp(['fill' => 'next_open'])->targets(['13.00' => '1'])->day('12.50/12.84/12.40/12.75')->day('13.10/13.20/13.00/13.10'),
            ['void past_target 13.10'],
            ['status' => 'void'],
        ];
        yield 'T12 the next open comes too late' => [
            $kelp(['fill' => 'next_open'])->with('entry_until', '2026-10-15T15:00:00Z')->day('12.50/12.84/12.40/12.75')->day('12.80/12.90/12.70/12.85'),
            ['expired'],
        ];
        yield 'two closes in a row, a third close resets' => [
            $kelp(['times' => 2])->day('12.50/12.84/12.40/12.75')->day('12.70/12.80/12.40/12.55')->day('12.60/12.80/12.50/12.70')->day('12.70/12.90/12.60/12.81'),
            ['fill 12.81 x1'],
        ];
        yield 'T5 a close past the target is void' => [$kelp()->targets(['12.70' => '1'])->day('12.50/12.84/12.40/12.75'), ['void past_target 12.75']];
        yield 'a close at or past the stop in force is void' => [
            Scenario::legs('short', [['kind' => 'close_beyond', 'price' => '12.60', 'timeframe' => '1d', 'fill' => 'close']], '13.00')->targets(['12.00' => '1'])->day('12.70/12.84/11.90/12.00'),
            ['void past_target 12.00'],
        ];
        yield 'worst: a close too far is skipped, the next is taken' => [
            $kelp(['worst' => '12.80'])->day('12.50/13.00/12.40/12.90')->day('12.70/12.90/12.60/12.78'),
            ['skipped worst', 'fill 12.78 x1'],
        ];
        yield 'T18 beyond already when published: the next close counts' => [
            $kelp()->before(['12.70/12.80/12.60/12.75'])->day('12.70/12.90/12.60/12.80'),
            ['fill 12.80 x1'],
        ];

        $tarn = static fn (array $more = []): Scenario => Scenario::legs('long', [['kind' => 'retest', 'price' => '58.00', 'timeframe' => '1d', ...$more]], '55.00');
        yield 'T2 a pullback after a close above' => [
            $tarn()->day('57.50/59.00/57.20/58.60')->day('58.50/59.00/57.80/58.40'),
            ['armed', 'fill 58.00 x1'],
        ];
        yield 'T18 a close before publication does not arm' => [$tarn()->before(['57.50/59.00/57.20/58.60'])->day('58.50/58.70/57.80/57.90'), ['expired'], ['missed_by' => null]];
        yield 'a retest is disarmed by a close below, and armed again' => [
            $tarn(['within' => '0.10'])->with('cancel', ['price' => '50.00'])->day('57.50/59.00/57.20/58.60')->day('58.90/59.40/58.60/59.20')->day('59.00/59.10/58.30/58.40')->day('58.60/58.90/58.20/58.50'),
            ['armed', 'expired'],
            ['missed_by' => ['leg' => 'leg 1', 'price' => '0.10', 'percent' => '0.17', 'session' => '2026-10-21']],
        ];
        yield 'a retest that was skipped is disarmed by the close' => [
            $tarn()->with('conditions', [['kind' => 'blackout', 'from' => '2026-10-16T00:00:00Z', 'to' => '2026-10-17T00:00:00Z']])
                ->day('57.50/59.00/57.20/58.60')->day('58.50/58.70/57.00/57.20')->day('57.80/57.90/57.10/57.50')->day('57.80/58.90/57.60/58.70')->day('58.60/58.80/57.90/58.20'),
            ['armed', 'skipped blackout', 'disarmed', 'armed', 'fill 58.00 x1'],
        ];

        $ramp = static fn (array $more = []): Scenario => Scenario::legs('short', [['kind' => 'overshoot', 'price' => '84.00', 'beyond' => '0.50', 'timeframe' => '1d', ...$more]], '86.00');
        yield 'T13 over it and back by the close' => [$ramp()->day('83.50/84.60/83.20/83.70'), ['fill 83.70 x1']];
        yield 'T13 not far enough over it' => [$ramp()->day('83.50/84.30/83.20/83.70'), ['expired']];
        yield 'T13 a close at the level is not back' => [$ramp()->day('83.50/84.60/83.20/84.00'), ['expired'], ['missed_by' => ['leg' => 'leg 1', 'price' => '0.00', 'percent' => '0.00', 'session' => '2026-10-15']]];
        yield 'T13 never over it' => [$ramp()->day('83.50/83.90/83.20/83.70'), ['expired']];
        yield 'T13 back on the second bar' => [$ramp(['bars' => 2])->day('83.50/84.60/83.20/84.20')->day('84.10/84.30/83.50/83.65'), ['fill 83.65 x1']];
        yield 'T13 the third bar is too late for two' => [$ramp(['bars' => 2])->day('83.50/84.60/83.20/84.20')->day('84.10/84.30/83.90/84.10')->day('84.00/84.10/83.50/83.65'), ['expired']];

        $hours = static fn (string $frame): Scenario => Scenario::legs('long', [['kind' => 'close_beyond', 'price' => '12.60', 'timeframe' => $frame, 'fill' => 'close']], '12.00');
        yield 'T10 an hour closes with its second half' => [
            $hours('1h')->half('2026-10-15', 0, '12.50/12.80/12.40/12.70')->half('2026-10-15', 1, '12.70/12.75/12.50/12.55')->half('2026-10-15', 2, '12.55/12.70/12.50/12.50')->half('2026-10-15', 3, '12.50/12.90/12.50/12.80'),
            ['fill 12.80 x1'],
            ['first_fill_at' => '2026-10-15T10:00:00Z'],
        ];
        yield 'T10 the last hour of a session is short' => [
            $hours('1h')->half('2026-10-15', 12, '12.50/12.80/12.40/12.70')->given('sessions', [['2026-10-15', '2026-10-15T08:30:00Z', '2026-10-15T15:00:00Z']]),
            ['fill 12.70 x1'],
        ];
        yield 'an hour whose second half is missing is known to be over when the next begins' => [
            $hours('1h')->half('2026-10-15', 0, '12.50/12.80/12.40/12.70')->half('2026-10-15', 2, '12.90/12.95/12.80/12.90')->given('as_of', '2026-10-15T10:00:00Z'),
            ['fill 12.70 x1'],
            ['first_fill_at' => '2026-10-15T08:30:00Z', 'r' => '0.3333'],
        ];
        yield 'an hour whose second half is missing is over when its time has come' => [
            $hours('1h')->half('2026-10-15', 0, '12.50/12.80/12.40/12.70')->given('as_of', '2026-10-15T09:30:00Z'),
            ['fill 12.70 x1'],
        ];
        yield 'and not before' => [$hours('1h')->half('2026-10-15', 0, '12.50/12.80/12.40/12.70')->given('as_of', '2026-10-15T09:29:59Z'), []];
        yield 'T21 a day that straddles the publication closes as it closes' => [
            $hours('1d')->publishedAt('2026-10-15T12:00:00Z')->half('2026-10-15', 0, '12.50/12.80/12.40/12.70')->half('2026-10-15', 12, '12.60/12.70/12.50/12.65'),
            ['fill 12.65 x1'],
        ];
        $week = Scenario::legs('long', [['kind' => 'close_beyond', 'price' => '12.60', 'timeframe' => '1w', 'fill' => 'close']], '12.00')->with('entry_until', '2026-11-06T15:00:00Z');
        yield 'T11 a week is decided by the close of its last session' => [
            (clone $week)->given('sessions', self::sessions(['2026-10-14', '2026-10-15', '2026-10-20']))->day('12.50/12.80/12.40/12.75')->day('12.50/12.80/12.40/12.58')->asOf('2026-10-16T15:00:00Z'),
            ['fill 12.75 x1'],
        ];
        yield 'T11 without listed sessions it is over when the next begins' => [
            (clone $week)->day('12.50/12.80/12.40/12.75')->day('12.70/12.80/12.40/12.70')->day('12.80/12.90/12.70/12.85')->asOf('2026-10-20T15:00:00Z'),
            ['fill 12.70 x1'],
            ['first_fill_at' => '2026-10-16T08:30:00Z', 'r' => '0.2500'],
        ];
        yield 'T11 and until then it waits' => [(clone $week)->day('12.50/12.80/12.40/12.75')->day('12.70/12.80/12.40/12.70')->asOf('2026-10-19T15:00:00Z'), []];
    }

    /** @return iterable<string, array{0: Scenario, 1: list<string>, 2?: array<string, mixed>}> */
    public static function opens(): iterable
    {
        $silt = static fn (array $more = []): Scenario => Scenario::legs('long', [['kind' => 'market', ...$more]], '18.00');
        yield 'T19 enter now is the open of the next bar' => [
            $silt()->publishedAt('2026-10-15T12:40:00Z')->half('2026-10-15', 8, '18.30/18.40/18.20/18.36')->half('2026-10-15', 9, '18.42/18.50/18.40/18.45'),
            ['fill 18.42 x1'],
            ['average_fill' => '18.4200', 'r' => '0.0714'],
        ];
        yield 'a market leg is tried once' => [$silt(['worst' => '18.40'])->day('18.42/18.50/18.30/18.45')->day('18.30/18.50/18.20/18.45'), ['skipped worst', 'expired'], ['missed_by' => null]];
        yield 'an open at the stop is void' => [$silt()->day('18.00/18.50/17.90/18.45'), ['void past_stop 18.00']];
        $gap = static fn (array $more): Scenario => Scenario::legs('long', [['kind' => 'open', ...$more]], '18.00')->before(['19.50/20.10/19.40/20.00']);
        yield 'T64 a gap at its bound is in' => [$gap(['gap_min_percent' => '1', 'gap_max_percent' => '3'])->day('20.20/20.50/20.10/20.40'), ['fill 20.20 x1']];
        yield 'a gap outside does not fire, the next may' => [$gap(['gap_min_percent' => '1', 'gap_max_percent' => '3'])->day('20.70/20.80/20.40/20.60')->day('20.90/21.00/20.80/20.90'), ['fill 20.90 x1']];
        yield 'a gap of a short is told the other way' => [
            Scenario::legs('short', [['kind' => 'open', 'gap_min_percent' => '1']], '22.00')->before(['19.50/20.10/19.40/20.00'])->day('19.80/20.00/19.60/19.90'),
            ['fill 19.80 x1'],
        ];
        yield 'without a session before there is no gap' => [Scenario::legs('long', [['kind' => 'open', 'gap_max_percent' => '3']], '18.00')->day('20.20/20.50/20.10/20.40'), ['expired']];
        yield 'without bounds it fires at the first open, not within the session' => [
            Scenario::legs('long', [['kind' => 'open']], '18.00')->publishedAt('2026-10-15T12:00:00Z')->half('2026-10-15', 0, '20.00/20.10/19.90/20.00')->half('2026-10-15', 9, '20.00/20.10/19.90/20.00')->half('2026-10-16', 0, '20.30/20.50/20.20/20.40'),
            ['fill 20.30 x1'],
        ];
        yield 'T2 the furthest acceptable price of a break' => [
            Scenario::legs('long', [['kind' => 'break', 'price' => '58.00', 'worst' => '59.00']], '55.00')->day('60.30/61.00/57.50/58.20')->day('57.80/58.40/57.60/58.10'),
            ['skipped worst', 'fill 58.00 x1'],
        ];
    }

    /** @return iterable<string, array{0: Scenario, 1: list<string>, 2?: array<string, mixed>}> */
    public static function staged(): iterable
    {
        $oakl = static fn (): Scenario => Scenario::legs('long', [['kind' => 'touch', 'price' => '62.00'], ['kind' => 'break', 'price' => '65.00']], '60.00')->targets(['70.00' => '1']);
        yield 'T30 the first leg only, target' => [
            $oakl()->day('63.00/63.50/61.80/63.00')->day('70.50/70.60/70.00/70.20'),
            ['fill 62.00 x0.5', 'target 1 70.50 x0.5 gap', 'cancelled position_closed'],
            ['r' => '1.2143', 'filled_share' => '0.5'],
        ];
        yield 'T30 both, target' => [
            $oakl()->day('63.00/63.50/61.80/63.00')->day('64.00/66.00/63.90/65.80')->day('66.00/70.20/65.90/70.00'),
            ['fill 62.00 x0.5', 'fill 65.00 x0.5', 'target 1 70.00 x1'],
            ['average_fill' => '63.5000', 'r' => '1.8571', 'percent' => '10.24'],
        ];
        yield 'T30 the first only, stopped' => [$oakl()->day('63.00/63.50/61.80/63.00')->day('62.00/62.20/59.90/60.10'), ['fill 62.00 x0.5', 'stop 60.00 x0.5', 'cancelled position_closed'], ['r' => '-0.2857']];
        yield 'T30 both, stopped' => [
            $oakl()->day('63.00/63.50/61.80/63.00')->day('64.00/66.00/63.90/65.80')->day('64.00/64.20/59.90/60.10'),
            ['fill 62.00 x0.5', 'fill 65.00 x0.5', 'stop 60.00 x1'],
            ['r' => '-1.0000'],
        ];
        yield 'T30 the second may be filled first' => [$oakl()->day('64.00/66.00/63.90/65.80'), ['fill 65.00 x0.5', 'expired'], ['status' => 'open']];
        $add = static fn (): Scenario => Scenario::legs('long', [['kind' => 'touch', 'price' => '62.00', 'name' => 'starter'], ['kind' => 'break', 'price' => '63.00', 'name' => 'add', 'needs' => 'starter']], '60.00');
        yield 'needs: not before the starter is in, and not on its bar' => [
            $add()->day('63.40/63.50/62.50/63.00')->day('62.50/63.80/61.90/63.00')->day('62.80/63.20/62.60/63.10'),
            ['fill 62.00 x0.5', 'fill 63.00 x0.5'],
            ['average_fill' => '62.5000', 'first_fill_at' => '2026-10-16T08:30:00Z'],
        ];
        yield 'needs: it waits without looking at prices, and counts as missed only after' => [
            $add()->day('62.50/62.90/61.90/62.30')->day('62.30/62.80/62.20/62.40'),
            ['fill 62.00 x0.5', 'expired'],
            ['status' => 'open', 'missed_by' => null],
        ];
        yield 'a market leg that needs another takes the bar after it' => [
            Scenario::legs('long', [['kind' => 'touch', 'price' => '62.00', 'name' => 'a'], ['kind' => 'market', 'needs' => 'a']], '60.00')->day('62.50/62.90/61.90/62.30')->day('62.40/62.80/62.20/62.40'),
            ['fill 62.00 x0.5', 'fill 62.40 x0.5'],
            ['r' => '0.0909'],
        ];
        yield 'an unfilled market leg is left out of planned risk' => [
            Scenario::legs('long', [['kind' => 'touch', 'price' => '62.00', 'share' => '0.4', 'name' => 'a'], ['kind' => 'market', 'share' => '0.6', 'needs' => 'a']], '60.00')->day('62.50/63.00/61.90/63.00')->asOf('2026-10-15T16:00:00Z'),
            ['fill 62.00 x0.4'],
            ['r' => '0.5000', 'mfe_r' => '0.5000'],
        ];
        yield 'T25 a touch and a break in one bar: the nearer to the open first' => [
            Scenario::legs('long', [['kind' => 'break', 'price' => '66.00', 'name' => 'b'], ['kind' => 'touch', 'price' => '62.00', 'name' => 't']], '60.00')->day('63.00/66.50/61.80/64.00'),
            ['fill 62.00 x0.5', 'fill 66.00 x0.5'],
            ['ambiguous' => false],
        ];
        yield 'T25 with the stop in reach as well, the bar is ambiguous' => [
            Scenario::legs('long', [['kind' => 'break', 'price' => '66.00'], ['kind' => 'touch', 'price' => '62.00']], '60.00')->day('63.00/66.50/59.80/64.00'),
            ['fill 62.00 x0.5 assumed', 'fill 66.00 x0.5 assumed', 'stop 60.00 x1 assumed'],
            ['ambiguous' => true, 'r' => '-1.0000'],
        ];
        yield 'a later fill is taken by the last target too, an earlier target is not taken again' => [
            Scenario::legs('long', [['kind' => 'touch', 'price' => '62.00', 'name' => 'a'], ['kind' => 'touch', 'price' => '61.00', 'needs' => 'a']], '60.00')->targets(['64.00' => '0.5', '66.00' => '0.5'])
                ->day('62.50/62.90/61.90/62.30')->day('62.50/64.10/62.40/62.60')->day('62.00/62.20/60.90/61.50')->day('62.00/66.20/61.90/66.00'),
            ['fill 62.00 x0.5', 'target 1 64.00 x0.25', 'fill 61.00 x0.5', 'target 2 66.00 x0.75'],
            ['status' => 'closed'],
        ];
    }

    /** @return iterable<string, array{0: Scenario, 1: list<string>, 2?: array<string, mixed>}> */
    public static function conditions(): iterable
    {
        $tarn = static fn (array $condition, string $side = 'long'): Scenario => Scenario::break($side, '58.00', $side === 'long' ? '55.00' : '61.00')->with('conditions', [$condition]);
        yield 'T2 a gap beyond the most is skipped, and the leg waits on' => [
            $tarn(['kind' => 'gap_max_percent', 'value' => '3'])->before(['57.00/57.50/56.50/57.10'])->day('60.30/61.00/57.50/58.20')->day('57.80/58.40/57.60/58.10'),
            ['skipped gap_max_percent', 'fill 58.00 x1'],
        ];
        yield 'a gap of at least' => [$tarn(['kind' => 'gap_min_percent', 'value' => '1'])->before(['57.00/57.50/56.50/57.00'])->day('57.50/58.20/57.40/58.00')->day('58.60/58.90/58.50/58.70'), ['skipped gap_min_percent', 'fill 58.60 x1 gap']];
        yield 'the gap of a short goes the other way' => [$tarn(['kind' => 'gap_min_percent', 'value' => '1'], 'short')->before(['59.00/59.50/58.50/59.00'])->day('58.40/58.60/57.90/58.20'), ['fill 58.00 x1']];
        yield 'an undefined gap fails' => [$tarn(['kind' => 'gap_max_percent', 'value' => '3'])->day('57.50/58.20/57.40/58.00'), ['skipped gap_max_percent', 'expired']];
        yield 'T64 a blackout includes its start and not its end' => [
            $tarn(['kind' => 'blackout', 'from' => '2026-10-15T08:30:00Z', 'to' => '2026-10-16T08:30:00Z'])->day('57.50/58.20/57.40/58.00')->day('57.50/58.20/57.40/58.00'),
            ['skipped blackout', 'fill 58.00 x1'],
        ];
        $minutes = static fn (string $kind, int $value): Scenario => Scenario::break('long', '58.00', '55.00')->with('conditions', [['kind' => $kind, 'value' => $value]])
            ->half('2026-10-15', 0, '57.50/58.20/57.40/57.90')->half('2026-10-15', 1, '57.90/58.30/57.40/57.90')->half('2026-10-15', 2, '57.90/58.30/57.40/58.10');
        yield 'not before: bounds included' => [$minutes('not_before_minutes', 30), ['skipped not_before_minutes', 'fill 58.00 x1'], ['first_fill_at' => '2026-10-15T09:00:00Z']];
        yield 'not after' => [(clone $minutes('not_after_minutes', 0)), ['fill 58.00 x1'], ['first_fill_at' => '2026-10-15T08:30:00Z']];

        $close = static fn (array $conditions, string $side = 'long'): Scenario => Scenario::legs($side, [['kind' => 'close_beyond', 'price' => '7.80', 'timeframe' => '1d', 'fill' => 'close']], $side === 'long' ? '7.00' : '8.60')->with('conditions', $conditions);
        $quiet = array_fill(0, 20, '7.50/7.60/7.40/7.50');
        yield 'T16 too little volume, then enough' => [
            $close([['kind' => 'relative_volume_min', 'value' => '1.5']])->before($quiet)->day('7.70/7.95/7.60/7.92', 1_200)->day('7.90/8.00/7.80/7.96', 1_700),
            ['skipped relative_volume_min', 'fill 7.96 x1'],
        ];
        yield 'fewer than 20 sessions are too few' => [$close([['kind' => 'relative_volume_min', 'value' => '0.1']])->before(array_slice($quiet, 1))->day('7.70/7.95/7.60/7.92', 9_000), ['skipped relative_volume_min', 'expired']];
        yield 'T61 a mean of no volume fails' => [$close([['kind' => 'relative_volume_min', 'value' => '0']])->before($quiet, 0)->day('7.70/7.95/7.60/7.92'), ['skipped relative_volume_min', 'expired']];
        yield 'T16 the place of the close in its bar' => [
            $close([['kind' => 'close_place_min', 'value' => '0.8']])->day('7.70/8.00/7.60/7.90')->day('7.90/8.00/7.60/7.92'),
            ['skipped close_place_min', 'fill 7.92 x1'],
        ];
        yield 'the place of the close of a short' => [$close([['kind' => 'close_place_min', 'value' => '0.8']], 'short')->day('7.90/8.00/7.60/7.68'), ['fill 7.68 x1']];
        yield 'a flat bar closes at its extreme' => [$close([['kind' => 'close_place_min', 'value' => '1']])->day('7.90/7.90/7.90/7.90'), ['fill 7.90 x1']];
        yield 'T52 above its average, this session counted' => [
            $close([['kind' => 'average_above', 'type' => 'sma', 'period' => 3]])->before(['8.60/8.70/8.50/8.60', '7.70/7.80/7.60/7.70'])->day('7.80/7.90/7.70/7.85')->day('7.80/7.95/7.70/7.90'),
            ['skipped average_above', 'fill 7.90 x1'],
        ];
        yield 'T64 at the average is not above it' => [$close([['kind' => 'average_above', 'type' => 'ema', 'period' => 2]])->before(['7.90/8.00/7.80/7.90'])->day('7.90/8.00/7.80/7.90'), ['skipped average_above', 'expired']];
        yield 'below means below for a short too' => [
            $close([['kind' => 'average_below', 'type' => 'sma', 'period' => 2]], 'short')->before(['7.90/8.00/7.80/7.90'])->day('7.80/7.90/7.60/7.70'),
            ['fill 7.70 x1'],
        ];
        yield 'inside a session only finished ones count' => [
            Scenario::break('long', '58.00', '55.00')->with('conditions', [['kind' => 'average_above', 'type' => 'sma', 'period' => 2]])->before(['57.00/57.10/56.90/57.00', '56.00/56.10/55.90/56.00'])->day('57.50/58.20/57.40/58.10')->day('57.50/58.20/57.40/58.00'),
            ['skipped average_above', 'fill 58.00 x1'],
        ];
        yield 'T64 the RSI at its bound is in' => [
            // rises of 0.20 and falls of 0.20: the RSI of 2 is 50
            $close([['kind' => 'rsi_max', 'period' => 2, 'value' => '50']])->before(['7.90/8.00/7.80/7.85', '7.65/7.70/7.60/7.65'])->day('7.80/7.90/7.70/7.85'),
            ['fill 7.85 x1'],
        ];
        yield 'the RSI says the same for a short' => [
            $close([['kind' => 'rsi_min', 'period' => 2, 'value' => '34']], 'short')->before(['7.85/8.00/7.80/7.85', '7.95/8.00/7.90/7.95'])->day('7.90/7.95/7.70/7.75'),
            ['skipped rsi_min', 'expired'],
        ];
        $index = static fn (string $kind, string $price): Scenario => Scenario::break('long', '58.00', '55.00')->with('conditions', [['kind' => $kind, 'symbol' => 'NORD.Q', 'price' => $price]])
            ->given('others', ['NORD.Q' => ['bars' => [['2026-10-14T08:30:00Z', '2026-10-14', '100.0', '101.0', '99.0', '100.5', 1], ['2026-10-15T08:30:00Z', '2026-10-15', '100.0', '103.0', '99.0', '102.5', 1]]]])
            ->day('57.50/58.20/57.40/58.00')->day('57.50/58.20/57.40/58.00');
        yield 'an index above a price, by its last finished bar' => [$index('index_above', '102'), ['skipped index_above', 'fill 58.00 x1']];
        yield 'an index at the price is not below it' => [$index('index_below', '100.5'), ['skipped index_below', 'skipped index_below', 'expired']];
        yield 'an unknown symbol fails' => [$index('index_above', '1')->given('others', []), ['skipped index_above', 'skipped index_above', 'expired']];
        yield 'the first failure alone is told' => [
            $close([['kind' => 'close_place_min', 'value' => '0.9'], ['kind' => 'gap_min_percent', 'value' => '50']])->day('7.90/8.00/7.60/7.85'),
            ['skipped close_place_min', 'expired'],
        ];
    }

    /**
     * @param list<string> $dates
     *
     * @return list<array{string, string, string}>
     */
    private static function sessions(array $dates): array
    {
        return array_map(static fn (string $date): array => [$date, "{$date}T08:30:00Z", "{$date}T15:00:00Z"], $dates);
    }
}
