<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Outcomes\Event;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeReader;

/** Every way out, every move of a stop, updates and groups of rules.md, on hand-worked bars. */
final class ExitsTest extends TestCase
{
    /**
     * @param list<string>         $story    the events
     * @param array<string, mixed> $expected parts of the result
     */
    #[DataProvider('stops')]
    #[DataProvider('moves')]
    #[DataProvider('ends')]
    #[DataProvider('updates')]
    public function testWhatHappened(Scenario $scenario, array $story, array $expected = []): void
    {
        self::assertSame($story, $scenario->story());
        $result = $scenario->outcome()->toArray();
        foreach ($expected as $key => $value) {
            self::assertSame($value, $result[$key], $key);
        }
    }

    /** @return iterable<string, array{0: Scenario, 1: list<string>, 2?: array<string, mixed>}> */
    public static function stops(): iterable
    {
        $heath = static fn (array $stop = []): Scenario => Scenario::touch('long', '20.00', '19.40')->with('stop', ['price' => '19.40', 'basis' => 'close', 'timeframe' => '1d', ...$stop]);
        yield 'T14 out at the first close strictly below' => [
            $heath()->day('20.20/20.30/19.90/20.10')->day('20.00/20.10/19.20/19.31')->day('19.40/19.80/19.30/19.62'),
            ['fill 20.00 x1', 'stop 19.31 x1'],
            ['r' => '-1.1500', 'mae_r' => '-1.1500', 'mfe_r' => '0.1667', 'closed_at' => '2026-10-16T08:30:00Z'],
        ];
        yield 'T14 with two closes, one is not enough' => [$heath(['times' => 2])->day('20.20/20.30/19.90/20.10')->day('20.00/20.10/19.20/19.31')->day('19.40/19.80/19.30/19.62'), ['fill 20.00 x1'], ['status' => 'open']];
        yield 'T7 a close at the stop is not below it, opens and lows do not matter' => [$heath()->day('20.20/20.30/19.90/20.10')->day('19.00/20.10/18.20/19.40'), ['fill 20.00 x1'], ['status' => 'open']];
        yield 'the close of the bar of an inside fill counts only if a position was held: it was' => [$heath()->day('20.20/20.30/19.00/19.30'), ['fill 20.00 x1', 'stop 19.30 x1'], ['mfe_r' => '0.0000']];
        yield 'with a stop by close a touch below it fills all the same' => [
            $heath()->day('20.20/20.30/19.00/19.80'),
            ['fill 20.00 x1'],
            ['status' => 'open', 'mae_r' => '-1.6667'],
        ];
        yield 'a cancel by close ends what waits, strictly' => [
            Scenario::touch('long', '20.00', '18.00')->with('cancel', ['price' => '22.00', 'side' => 'target', 'basis' => 'close', 'timeframe' => '1d'])->day('21.00/22.50/20.80/22.00')->day('22.00/22.60/21.80/22.10'),
            ['cancelled cancel'],
            ['status' => 'cancelled'],
        ];
        yield 'a cancel by two closes in a row' => [
            Scenario::break('long', '23.00', '20.00')->with('cancel', ['price' => '21.00', 'basis' => 'close', 'timeframe' => '1d', 'times' => 2])->day('21.00/21.50/20.80/20.90')->day('21.00/21.60/20.80/21.10')->day('21.00/21.60/20.80/20.90')->day('21.00/21.60/20.80/20.90'),
            ['cancelled cancel'],
        ];
        yield 'a cancel by close comes before a fill at that close' => [
            Scenario::legs('long', [['kind' => 'close_beyond', 'price' => '12.60', 'timeframe' => '1d', 'fill' => 'close']], '12.00')->with('cancel', ['price' => '13.00', 'side' => 'target', 'basis' => 'close', 'timeframe' => '1d'])->day('12.50/13.40/12.40/13.20'),
            ['cancelled cancel'],
        ];
        yield 'a weekly stop known to be over only when the next week begins' => [
            $heath(['timeframe' => '1w'])->day('20.20/20.30/19.90/20.10')->day('20.00/20.10/19.20/19.31')->day('19.80/19.90/19.70/19.85'),
            ['fill 20.00 x1', 'stop 19.31 x1'],
            ['closed_at' => '2026-10-16T08:30:00Z', 'sessions_held' => 2, 'mfe_r' => '0.1667'],
        ];
    }

    /** @return iterable<string, array{0: Scenario, 1: list<string>, 2?: array<string, mixed>}> */
    public static function moves(): iterable
    {
        $oakl = static fn (array ...$moves): Scenario => Scenario::touch('long', '62.00', '60.00')->with('stop_moves', $moves);
        $entry = ['after' => ['kind' => 'target', 'number' => 1], 'to' => ['kind' => 'entry']];
        yield 'T33 after target 1 to entry, from the next bar on' => [
            $oakl($entry)->targets(['66.00' => '0.5', '70.00' => '0.5'])->day('62.50/63.00/61.90/62.80')->day('63.00/66.10/61.50/66.00')->day('65.00/65.20/62.00/63.00'),
            ['fill 62.00 x1', 'target 1 66.00 x0.5', 'stop_moved 62.00', 'stop 62.00 x0.5'],
            ['r' => '1.0000', 'stop' => '62.00'],
        ];
        yield 'T33 an open beyond the moved stop' => [
            $oakl($entry)->targets(['66.00' => '0.5', '70.00' => '0.5'])->day('62.50/63.00/61.90/62.80')->day('63.00/66.10/61.50/66.00')->day('61.40/62.20/61.00/62.00'),
            ['fill 62.00 x1', 'target 1 66.00 x0.5', 'stop_moved 62.00', 'stop 61.40 x0.5 gap'],
            ['r' => '0.8500'],
        ];
        yield 'a later fill raises the entry' => [
            Scenario::legs('long', [['kind' => 'touch', 'price' => '62.00'], ['kind' => 'break', 'price' => '65.00']], '60.00')->with('stop_moves', [['after' => ['kind' => 'sessions', 'value' => 1], 'to' => ['kind' => 'entry']]])
                ->day('62.50/63.00/61.90/62.80')->day('63.00/65.10/62.90/65.00'),
            ['fill 62.00 x0.5', 'stop_moved 62.00', 'fill 65.00 x0.5', 'stop_moved 63.50'],
        ];
        yield 'the entry is rounded toward the losing side' => [
            Scenario::legs('long', [['kind' => 'touch', 'price' => '62.00', 'share' => '0.7'], ['kind' => 'touch', 'price' => '61.95', 'share' => '0.3']], '60.00')->with('stop_moves', [['after' => ['kind' => 'sessions', 'value' => 1], 'to' => ['kind' => 'entry']]])
                ->day('62.50/63.00/61.90/62.80'),
            ['fill 62.00 x0.7', 'fill 61.95 x0.3', 'stop_moved 61.98'],
        ];
        yield 'after a gain in R, the best of the trade counts' => [
            $oakl(['after' => ['kind' => 'r', 'value' => '1'], 'to' => ['kind' => 'price', 'price' => '61.00']])->day('62.50/64.50/61.90/62.80')->day('63.00/63.90/62.50/63.50')->day('63.00/64.00/62.50/63.50'),
            ['fill 62.00 x1', 'stop_moved 61.00'],
        ];
        yield 'to a target that was taken' => [
            $oakl(['after' => ['kind' => 'target', 'number' => 2], 'to' => ['kind' => 'target', 'number' => 1]])->targets(['64.00' => '0.3', '66.00' => '0.3'])->day('62.50/63.00/61.90/62.80')->day('63.00/66.00/62.90/65.80')->day('65.00/65.20/63.80/64.00'),
            ['fill 62.00 x1', 'target 1 64.00 x0.3', 'target 2 66.00 x0.3', 'stop_moved 64.00', 'stop 64.00 x0.4'],
        ];
        yield 'a stop never loosens: the move is used up' => [
            $oakl(['after' => ['kind' => 'sessions', 'value' => 1], 'to' => ['kind' => 'price', 'price' => '59.00']])->day('62.50/63.00/61.90/62.80')->day('63.00/66.00/62.90/65.80'),
            ['fill 62.00 x1'],
            ['stop' => '60.00'],
        ];
        yield 'all moves of a bar give one new stop' => [
            $oakl(['after' => ['kind' => 'sessions', 'value' => 1], 'to' => ['kind' => 'price', 'price' => '61.00']], ['after' => ['kind' => 'sessions', 'value' => 1], 'to' => ['kind' => 'price', 'price' => '61.50']])->day('62.50/63.00/61.90/62.80'),
            ['fill 62.00 x1', 'stop_moved 61.50'],
        ];
        yield 'a trail below the lows of two bars, also of those before the fill' => [
            $oakl(['after' => ['kind' => 'sessions', 'value' => 1], 'to' => ['kind' => 'swing', 'timeframe' => '1d', 'bars' => 2]])->before(['62.00/63.00/61.70/62.50'])
                ->day('62.50/63.00/61.90/62.80')->day('63.00/64.00/62.60/63.90')->day('63.90/64.10/63.00/64.00')->day('63.00/63.10/62.50/62.90'),
            ['fill 62.00 x1', 'stop_moved 61.70', 'stop_moved 61.90', 'stop_moved 62.60', 'stop 62.60 x1'],
        ];
        yield 'T37 a trail along an average' => [
            $oakl(['after' => ['kind' => 'sessions', 'value' => 2], 'to' => ['kind' => 'average', 'timeframe' => '1d', 'type' => 'sma', 'period' => 2]])
                ->day('62.50/63.00/61.90/62.80')->day('63.00/64.00/62.60/63.90')->day('63.90/65.10/63.60/65.00'),
            ['fill 62.00 x1', 'stop_moved 63.35', 'stop_moved 64.45'],
        ];
        yield 'a trail of average ranges below the highest close since the fill' => [
            // true ranges 1.00 and 3.30, so 2.15 at the first close: 59.575 is no gain; then (2.15 + 1.40) / 2 = 1.775
            $oakl(['after' => ['kind' => 'sessions', 'value' => 1], 'to' => ['kind' => 'atr', 'timeframe' => '1d', 'period' => 2, 'multiple' => '1.5']])->before(['65.00/65.40/64.60/65.00', '65.00/65.50/64.50/65.20'])
                ->day('62.50/63.80/61.90/62.80')->day('63.00/64.00/62.60/63.90'),
            ['fill 62.00 x1', 'stop_moved 61.23'],
        ];
        yield 'the trail of a short is rounded away from price too' => [
            Scenario::touch('short', '84.00', '86.00')->with('stop_moves', [['after' => ['kind' => 'sessions', 'value' => 1], 'to' => ['kind' => 'average', 'timeframe' => '1d', 'type' => 'sma', 'period' => 3]]])->before(['84.00/84.20/83.80/84.00', '84.00/84.20/83.80/84.00'])
                ->day('83.50/84.10/83.00/83.91'),
            ['fill 84.00 x1', 'stop_moved 83.97'],
        ];
        yield 'a trail may lie beyond price: the next open is out' => [
            Scenario::touch('long', '62.00', '60.00')->with('stop_moves', [['after' => ['kind' => 'sessions', 'value' => 1], 'to' => ['kind' => 'average', 'timeframe' => '1d', 'type' => 'sma', 'period' => 2]]])->before(['64.00/64.20/63.80/64.00'])
                ->day('63.00/63.10/61.80/62.00')->day('62.20/62.30/62.10/62.20'),
            ['fill 62.00 x1', 'stop_moved 63.00', 'stop 62.20 x1 gap'],
        ];
    }

    /** @return iterable<string, array{0: Scenario, 1: list<string>, 2?: array<string, mixed>}> */
    public static function ends(): iterable
    {
        $reed = static fn (): Scenario => Scenario::touch('long', '26.00', '25.00');
        yield 'T57 out at the close of the last session held' => [
            $reed()->with('time_stop_sessions', 3)->day('26.20/26.50/25.90/26.30')->day('26.30/26.60/26.20/26.50')->day('26.50/26.80/26.30/26.60'),
            ['fill 26.00 x1', 'time 26.60 x1'],
            ['status' => 'closed', 'sessions_held' => 3, 'r' => '0.6000', 'mfe_r' => '0.8000'],
        ];
        yield 'a leg filled at the close is out with it when its time is one session' => [
            Scenario::legs('long', [['kind' => 'close_beyond', 'price' => '26.00', 'timeframe' => '1d', 'fill' => 'close']], '25.00')->with('time_stop_sessions', 1)->day('25.80/26.50/25.70/26.30'),
            ['fill 26.30 x1', 'time 26.30 x1'],
            ['r' => '0.0000', 'sessions_held' => 1],
        ];
        yield 'a session whose last bars are missing is over when the next begins' => [
            $reed()->with('time_stop_sessions', 1)->half('2026-10-15', 0, '26.20/26.50/25.90/26.30')->half('2026-10-16', 0, '26.40/26.50/26.30/26.40'),
            ['fill 26.00 x1', 'time 26.30 x1'],
            ['closed_at' => '2026-10-15T08:30:00Z'],
        ];
        yield 'T27 no gap up: out at the open' => [
            $reed()->with('open_exit', ['session' => 2, 'gap_min_percent' => '1'])->day('26.20/26.50/25.90/26.00')->day('26.20/26.60/26.10/26.50'),
            ['fill 26.00 x1', 'open_exit 26.20 x1'],
            ['status' => 'closed', 'sessions_held' => 2],
        ];
        yield 'T27 a gap at its bound stays' => [$reed()->with('open_exit', ['session' => 2, 'gap_min_percent' => '1'])->day('26.20/26.50/25.90/26.00')->day('26.26/26.60/26.10/26.50'), ['fill 26.00 x1'], ['status' => 'open']];
        yield 'an open exit without a gap is always taken, before a target' => [
            $reed()->targets(['27.00' => '1'])->with('open_exit', ['session' => 2])->day('26.20/26.50/25.90/26.00')->day('27.20/27.60/27.10/27.50'),
            ['fill 26.00 x1', 'open_exit 27.20 x1'],
        ];
        yield 'a stop comes before an open exit' => [$reed()->with('open_exit', ['session' => 2])->day('26.20/26.50/25.90/26.00')->day('24.80/25.60/24.10/25.50'), ['fill 26.00 x1', 'stop 24.80 x1 gap']];
        yield 'T59 the contract ends: what is held goes at the close' => [
            Scenario::legs('long', [['kind' => 'touch', 'price' => '26.00'], ['kind' => 'touch', 'price' => '25.50']], '25.00')->with('last_session', '2026-10-16')->day('26.20/26.50/25.90/26.30')->day('26.30/26.60/26.20/26.50')->day('26.30/26.60/25.20/26.50'),
            ['fill 26.00 x0.5', 'expired', 'ended 26.50 x0.5'],
            ['status' => 'closed', 'closed_at' => '2026-10-16T08:30:00Z'],
        ];
        yield 'a last session without bars: its last earlier bar counts' => [
            $reed()->with('last_session', '2026-10-19')->day('26.20/26.50/25.90/26.30')->day('26.30/26.60/26.20/26.50')->day('26.30/26.60/25.20/26.50'),
            ['fill 26.00 x1', 'ended 26.50 x1'],
            ['closed_at' => '2026-10-16T08:30:00Z'],
        ];
        yield 'what waits expires with the contract' => [$reed()->with('last_session', '2026-10-15')->day('26.90/27.00/26.50/26.80'), ['expired'], ['status' => 'not_triggered']];
    }

    /** @return iterable<string, array{0: Scenario, 1: list<string>, 2?: array<string, mixed>}> */
    public static function updates(): iterable
    {
        $reed = static fn (array ...$updates): Scenario => Scenario::touch('long', '26.00', '25.00')->targets(['28.00' => '0.5', '29.00' => '0.5'])->given('updates', $updates)
            ->day('26.20/26.50/25.90/26.30')->day('26.40/26.60/25.60/26.50')->day('26.50/27.10/25.40/27.00');
        yield 'a stop moved acts from the first bar that starts after' => [
            $reed(['at' => '2026-10-15T16:00:00Z', 'kind' => 'move_stop', 'price' => '25.70']),
            ['fill 26.00 x1', 'stop_moved 25.70', 'stop 25.70 x1'],
            ['r' => '-0.3000'],
        ];
        yield 'the same stop is allowed and tells nothing' => [$reed(['at' => '2026-10-15T16:00:00Z', 'kind' => 'move_stop', 'price' => '25.00']), ['fill 26.00 x1'], ['stop' => '25.00']];
        yield 'part taken at the open, before all else' => [
            $reed(['at' => '2026-10-15T16:00:00Z', 'kind' => 'exit', 'share' => '0.4'], ['at' => '2026-10-16T16:00:00Z', 'kind' => 'exit', 'share' => '1']),
            ['fill 26.00 x1', 'manual 26.40 x0.4', 'manual 26.50 x0.6'],
            ['r' => '0.4600', 'status' => 'closed'],
        ];
        yield 'a target moved' => [
            $reed(['at' => '2026-10-15T16:00:00Z', 'kind' => 'move_target', 'number' => 1, 'price' => '27.00']),
            ['fill 26.00 x1', 'target 1 27.00 x0.5'],
        ];
        yield 'what waits is cancelled; a note does nothing' => [
            Scenario::touch('long', '26.00', '25.00')->given('updates', [['at' => '2026-10-15T16:00:00Z', 'kind' => 'note', 'text' => 'earnings moved'], ['at' => '2026-10-15T16:00:00Z', 'kind' => 'cancel_waiting']])->day('26.90/27.00/26.50/26.80')->day('26.20/26.50/25.90/26.30'),
            ['cancelled update'],
            ['status' => 'cancelled'],
        ];
    }

    /** @param array<string, mixed> $update */
    #[DataProvider('refusedUpdates')]
    public function testAnUpdateTheRulesForbidIsRefused(array $update, string $path): void
    {
        try {
            Scenario::touch('long', '26.00', '25.00')->targets(['28.00' => '0.5', '29.00' => '0.5'])->given('updates', [['at' => '2026-10-15T16:00:00Z'] + $update])->day('26.20/26.50/25.90/26.30')->day('26.40/26.60/25.60/26.50')->outcome();
            self::fail('the update was accepted');
        } catch (InvalidInput $fault) {
            self::assertSame($path, $fault->path);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refusedUpdates(): iterable
    {
        yield 'a looser stop' => [['kind' => 'move_stop', 'price' => '24.90'], 'updates.0.price'];
        yield 'a stop off the tick' => [['kind' => 'move_stop', 'price' => '25.905'], 'updates.0.price'];
        yield 'a target that is not there' => [['kind' => 'move_target', 'number' => 3, 'price' => '30.00'], 'updates.0.number'];
        yield 'a target beyond the next' => [['kind' => 'move_target', 'number' => 1, 'price' => '29.00'], 'updates.0.price'];
        yield 'a target before the entry' => [['kind' => 'move_target', 'number' => 1, 'price' => '26.00'], 'updates.0.price'];
        yield 'more than is open' => [['kind' => 'exit', 'share' => '1.1'], 'updates.0.share'];
        yield 'an unknown kind' => [['kind' => 'hope'], 'updates.0.kind'];
    }

    /**
     * @param list<Scenario>     $setups  of one group; the bars are those of the first
     * @param list<list<string>> $stories the events of each
     */
    #[DataProvider('pairs')]
    public function testTheFirstFillInAGroupEndsTheOthers(array $setups, array $stories): void
    {
        $input = $setups[0]->input();
        $input['setups'] = array_map(static fn (Scenario $one): array => $one->input()['setup'] + ['group' => 'pair'], $setups);
        unset($input['setup'], $input['costs']);
        $outcomes = OutcomeReader::read(Node::of($input))->answer(new OutcomeEngine());

        self::assertSame($stories, array_map(static fn ($outcome): array => array_map(static fn (Event $event): string => Scenario::line($event->toArray()), $outcome->events), $outcomes));
    }

    /** @return iterable<string, array{list<Scenario>, list<list<string>>}> */
    public static function pairs(): iterable
    {
        $long = static fn (): Scenario => Scenario::break('long', '71.00', '69.00');
        $short = static fn (): Scenario => Scenario::break('short', '70.00', '72.00');
        yield 'T28 the one filled first ends the other at that moment' => [
            [$long()->day('70.50/70.90/70.10/70.60')->day('70.60/71.40/70.30/71.20')->day('71.00/71.20/69.50/69.80'), $short()],
            [['fill 71.00 x1'], ['cancelled group']],
        ];
        yield 'T28 both inside one bar: the nearer to the open, assumed' => [
            [$long()->day('70.40/71.40/69.50/70.60'), $short()],
            [['cancelled group assumed'], ['fill 70.00 x1 assumed']],
        ];
        yield 'T28 both inside one bar: finer bars decide' => [
            [$long()->day('70.40/71.40/69.50/70.60')->finer('2026-10-15', 0, '70.40/71.40/70.30/71.20')->finer('2026-10-15', 1, '71.20/71.20/69.50/70.60'), $short()],
            [['fill 71.00 x1'], ['cancelled group']],
        ];
        yield 'both at one open: the earlier in order, assumed' => [
            [Scenario::touch('long', '71.00', '69.00')->day('70.50/70.90/70.10/70.60'), Scenario::legs('long', [['kind' => 'market']], '69.00')],
            [['fill 70.50 x1 gap assumed'], ['cancelled group assumed']],
        ];
        yield 'an open comes before the inside, without assumption' => [
            [$long()->day('70.50/71.90/70.10/71.60'), Scenario::legs('long', [['kind' => 'market']], '69.00')],
            [['cancelled group'], ['fill 70.50 x1']],
        ];
        yield 'the inside comes before the close' => [
            [Scenario::legs('long', [['kind' => 'close_beyond', 'price' => '70.60', 'timeframe' => '1d', 'fill' => 'close']], '69.00')->day('70.50/71.90/70.10/71.60'), $long()],
            [['cancelled group'], ['fill 71.00 x1']],
        ];
        yield 'one that is not published yet is cancelled too' => [
            [$long()->day('70.60/71.40/70.30/71.20'), $short()->publishedAt('2026-10-16T16:00:00Z')],
            [['fill 71.00 x1'], ['cancelled group']],
        ];
        yield 'expiry ends each by itself' => [
            [$long()->day('70.50/70.90/70.10/70.60'), $short()],
            [['expired'], ['expired']],
        ];
    }

    public function testWithoutAGroupBothMayFire(): void
    {
        $input = Scenario::break('long', '71.00', '69.00')->day('70.40/71.40/70.10/70.60')->day('70.40/70.50/69.50/69.60')->input();
        $input['setups'] = [$input['setup'], Scenario::break('short', '70.00', '72.00')->input()['setup']];
        unset($input['setup'], $input['costs']);

        self::assertSame(['open', 'open'], array_map(static fn ($outcome): string => $outcome->status->value, OutcomeReader::read(Node::of($input))->answer(new OutcomeEngine())));
    }
}
