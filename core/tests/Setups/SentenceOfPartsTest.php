<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Setups;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Sentence;
use Watchpost\Core\Setups\Setup;
use Watchpost\Core\Setups\SetupReader;

/** Every part of a setup in words, for both sides, and all of them together. */
final class SentenceOfPartsTest extends TestCase
{
    private const TRIGGERS = [
        ['kind' => 'touch', 'price' => '42.00', 'within' => '0.10'],
        ['kind' => 'break', 'price' => '42.00', 'no_chase' => true, 'worst' => '42.50'],
        ['kind' => 'close_beyond', 'price' => '42.00', 'timeframe' => '1d', 'fill' => 'close'],
        ['kind' => 'close_beyond', 'price' => '42.00', 'timeframe' => '1w', 'fill' => 'next_open', 'times' => 2],
        ['kind' => 'retest', 'price' => '42.00', 'timeframe' => '1h'],
        ['kind' => 'overshoot', 'price' => '42.00', 'beyond' => '0.30', 'timeframe' => '1d', 'bars' => 3],
        ['kind' => 'open', 'gap_min_percent' => '-1', 'gap_max_percent' => '2'],
        ['kind' => 'market'],
    ];
    private const CONDITIONS = [
        ['kind' => 'gap_max_percent', 'value' => '3'],
        ['kind' => 'not_before_minutes', 'value' => 30],
        ['kind' => 'blackout', 'from' => '2026-10-15T12:00:00Z', 'to' => '2026-10-15T12:30:00Z'],
        ['kind' => 'relative_volume_min', 'value' => '1.5'],
        ['kind' => 'average_above', 'type' => 'ema', 'period' => 20],
        ['kind' => 'rsi_max', 'period' => 14, 'value' => '70'],
        ['kind' => 'index_below', 'symbol' => 'NORD.Q', 'price' => '5100'],
    ];
    private const MOVES = [
        ['after' => ['kind' => 'target', 'number' => 1], 'to' => ['kind' => 'entry']],
        ['after' => ['kind' => 'r', 'value' => '1.5'], 'to' => ['kind' => 'price', 'price' => '42.00']],
        ['after' => ['kind' => 'sessions', 'value' => 3], 'to' => ['kind' => 'atr', 'timeframe' => '1d', 'period' => 14, 'multiple' => '2']],
        ['after' => ['kind' => 'sessions', 'value' => 1], 'to' => ['kind' => 'average', 'timeframe' => '1w', 'type' => 'sma', 'period' => 10]],
        ['after' => ['kind' => 'target', 'number' => 1], 'to' => ['kind' => 'swing', 'timeframe' => '1d', 'bars' => 3]],
    ];

    /** @param array<string, mixed> $change */
    #[DataProvider('parts')]
    public function testAPartReads(array $change, string $long, string $short): void
    {
        self::assertStringContainsString($long, $this->of('long', $change));
        self::assertStringContainsString($short, $this->of('short', $change));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function parts(): iterable
    {
        $leg = static fn (int $i): array => ['legs' => [['name' => 'entry', 'share' => '1', 'trigger' => self::TRIGGERS[$i]]]];
        yield 'touch' => [$leg(0), 'Long when price falls to 42.00 or within 0.10 of it;', 'Short when price rises to 42.00 or within 0.10 of it;'];
        yield 'break' => [$leg(1), 'price rises to 42.00 or higher; an open above 42.00 is not chased; no fill above 42.50;', 'price falls to 42.00 or lower; an open below 42.00 is not chased; no fill below 42.50;'];
        yield 'close' => [$leg(2), 'Long on a daily close above 42.00, at that close;', 'Short on a daily close below 42.00, at that close;'];
        yield 'closes' => [$leg(3), 'on 2 weekly closes in a row above 42.00, at the next open;', 'on 2 weekly closes in a row below 42.00'];
        yield 'retest' => [$leg(4), 'when price comes back to 42.00 after an hourly close above 42.00;', 'after an hourly close below 42.00;'];
        yield 'overshoot' => [$leg(5), 'when price trades 0.30 or more below 42.00 and one of 3 sessions closes back above it, at that close;', '0.30 or more above 42.00 and one of 3 sessions closes back below it'];
        yield 'open' => [$leg(6), 'at the open of a session with a gap of −1 % to 2 %, in the direction of the trade;', 'with a gap of −1 % to 2 %'];
        yield 'market' => [$leg(7), 'Long at once: at the open of the next bar;', 'Short at once'];
        yield 'staged' => [
            ['legs' => [['name' => 'starter', 'share' => '0.4', 'trigger' => self::TRIGGERS[0]], ['name' => 'add', 'share' => '0.6', 'needs' => 'starter', 'trigger' => self::TRIGGERS[2]]]],
            'Long 40 % (“starter”) when price falls to 42.00 or within 0.10 of it, 60 % (“add”) on a daily close above 42.00, at that close, once “starter” is in;',
            'Short 40 % (“starter”) when price rises',
        ];
        yield 'conditions' => [
            ['conditions' => self::CONDITIONS],
            'only if the session gaps at most 3 % with the trade; only from 30 minutes after the open on; not from 13:00 on Thursday 15 October until 13:30 on Thursday 15 October; only on 1.5 times the usual volume or more; only after a close above the 20-session exponential average; only with an RSI of 14 sessions at 70 or below; only while NORD.Q stands below 5100;',
            'only after a close above the 20-session exponential average',
        ];
        yield 'the place of the close' => [
            $leg(2) + ['conditions' => [['kind' => 'close_place_min', 'value' => '0.7']]],
            'only if the bar closes 70 % or more of its range above its low;',
            'only if the bar closes 70 % or more of its range below its high;',
        ];
        yield 'moves' => [
            ['stop_moves' => self::MOVES],
            'after target 1 the stop goes to the entry; after a gain of 1.5 R the stop goes to 42.00; after 3 sessions the stop trails 2 average true ranges of 14 sessions below the highest daily close; after 1 session the stop trails the 10-week average; after target 1 the stop trails the lowest low of the last 3 sessions;',
            'above the lowest daily close; after 1 session the stop trails the 10-week average; after target 1 the stop trails the highest high of the last 3 sessions;',
        ];
        yield 'a stop by close' => [['stop' => ['price' => '0', 'basis' => 'close', 'timeframe' => '1d', 'times' => 2]], 'stop on 2 daily closes in a row below 40.00;', 'stop on 2 daily closes in a row above 44.00;'];
        yield 'ways out' => [
            ['time_stop_sessions' => 12, 'open_exit' => ['session' => 2, 'gap_min_percent' => '1'], 'last_session' => '2026-12-18'],
            'out at the close of the 12th session held; out at the open of the 2nd session held unless it gaps 1 % or more with the trade; the last session is Friday 18 December, at whose close all is out;',
            'out at the close of the 12th session held',
        ];
        yield 'a cancel by close' => [
            ['cancel' => ['price' => '43.00', 'side' => 'target', 'basis' => 'close', 'timeframe' => '1d']],
            'not entered any more after a daily close above 43.00;',
            'not entered any more after a daily close below 43.00;',
        ];
    }

    public function testEveryCombinationIsOneSentenceWithAShortLineAndALineForEachPart(): void
    {
        $sentence = new Sentence(new PriceGrid(2), new \DateTimeZone('Europe/Lisbon'));
        $seen = [];
        foreach (['long', 'short'] as $side) {
            foreach (self::TRIGGERS as $trigger) {
                foreach ([[], ...array_map(static fn (array $one): array => [$one], self::MOVES)] as $moves) {
                    foreach ([[], array_slice(self::CONDITIONS, 0, 1), self::CONDITIONS] as $conditions) {
                        $setup = $this->planned($side, ['legs' => [['name' => 'entry', 'share' => '1', 'trigger' => $trigger]], 'stop_moves' => $moves, 'conditions' => $conditions]);
                        $all = $sentence->of($setup);
                        self::assertMatchesRegularExpression('/^(Long|Short) [^\n]+\.$/', $all);
                        self::assertStringEndsWith('good until 16:00 on Wednesday 21 October.', $all);
                        self::assertStringNotContainsString('  ', $all);
                        self::assertSame(count($sentence->lines($setup)), substr_count($all, '; ') + 1);
                        self::assertLessThan(90, strlen($sentence->short($setup)));
                        $seen[$all] = true;
                    }
                }
            }
        }
        self::assertCount(2 * count(self::TRIGGERS) * (count(self::MOVES) + 1) * 3, $seen, 'no two setups read the same');
    }

    public function testTheShortLineNamesEntriesStopAndTargets(): void
    {
        $sentence = new Sentence(new PriceGrid(2), new \DateTimeZone('UTC'));

        self::assertSame('Long touch 42.10, stop 40.00, targets 45.00 and 47.00', $sentence->short($this->planned('long', [])));
        self::assertSame('Short market, stop 44.00, no target', $sentence->short($this->planned('short', ['legs' => [['name' => 'entry', 'share' => '1', 'trigger' => ['kind' => 'market']]], 'targets' => []])));
    }

    /** @param array<string, mixed> $change */
    private function of(string $side, array $change): string
    {
        return (new Sentence(new PriceGrid(2), new \DateTimeZone('Europe/Lisbon')))->of($this->planned($side, $change));
    }

    /**
     * A setup about 42.00, told for a long; a short has its prices on the other side.
     *
     * @param array<string, mixed> $change
     */
    private function planned(string $side, array $change): Setup
    {
        $mirrored = $side === 'short';
        $setup = array_replace([
            'side' => $side,
            'published_at' => '2026-10-14T18:00:00Z',
            'entry_until' => '2026-10-21T15:00:00Z',
            'legs' => [['name' => 'entry', 'share' => '1', 'trigger' => self::TRIGGERS[0]]],
            'targets' => [['price' => $mirrored ? '39.00' : '45.00', 'share' => '0.5'], ['price' => $mirrored ? '37.00' : '47.00', 'share' => '0.5']],
        ], $change);
        $setup['stop'] = ['price' => $mirrored ? '44.00' : '40.00'] + ($change['stop'] ?? []);
        foreach ($setup['legs'] as $i => $leg) {
            if (isset($leg['trigger']['worst']) && $mirrored) {
                $setup['legs'][$i]['trigger']['worst'] = '42.50';
            }
        }

        return SetupReader::read(Node::of($setup, 'setup'), new PriceGrid(2), TimeFrame::FiveMinutes);
    }
}
