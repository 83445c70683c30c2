<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Outcomes;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Outcomes\OutcomeReader;

/** What rules.md rejects, and the path it is told at. */
final class RejectionTest extends TestCase
{
    #[DataProvider('faults')]
    public function testBadInputIsRefusedAtItsPath(string $path, mixed $value, string $expectedPath, string $says): void
    {
        try {
            OutcomeReader::read(Node::of(self::with(self::input(), explode('.', $path), $value)));
            self::fail("{$path} was accepted");
        } catch (InvalidInput $fault) {
            self::assertSame($expectedPath, $fault->path);
            self::assertStringContainsString($says, $fault->getMessage());
        }
    }

    /** @return iterable<string, array{string, mixed, string, string}> */
    public static function faults(): iterable
    {
        $bar = static fn (string $date, string $o, string $h, string $l, string $c, int $v = 1): array => ["{$date}T08:30:00Z", $date, $o, $h, $l, $c, $v];
        yield 'unknown key' => ['setups_', [], 'setups_', 'unknown'];
        yield 'unknown key of the setup' => ['setup.size', '1', 'setup.size', 'unknown'];
        yield 'price on the leg instead of its trigger' => ['setup.legs.0.price', '26.00', 'setup.legs.0.price', 'unknown'];
        yield 'a key of another trigger' => ['setup.legs.0.trigger.no_chase', true, 'setup.legs.0.trigger.no_chase', 'unknown'];
        yield 'unknown kind' => ['setup.legs.0.trigger.kind', 'limit', 'setup.legs.0.trigger.kind', 'must be one of'];
        yield 'missing decimals' => ['instrument', ['symbol' => 'REED.Q'], 'instrument.decimals', 'required'];
        yield 'too many decimals' => ['instrument.decimals', 7, 'instrument.decimals', 'at most 6'];
        yield 'a tick of nothing' => ['instrument.tick', '0', 'instrument.tick', 'above 0'];
        yield 'a tick finer than the decimals' => ['instrument.tick', '0.001', 'instrument.tick', 'at most 2'];
        yield 'unknown side' => ['setup.side', 'flat', 'setup.side', 'must be one of'];
        yield 'a price as a number' => ['setup.stop.price', 25.2, 'setup.stop.price', 'string'];
        yield 'a price that is no decimal' => ['setup.stop.price', '25,20', 'setup.stop.price', 'string'];
        yield 'a stop off the tick grid' => ['setup.stop.price', '25.201', 'setup.stop.price', 'tick'];
        yield 'a stop of nothing' => ['setup.stop.price', '0', 'setup.stop.price', 'above 0'];
        yield 'a stop on the wrong side' => ['setup.stop.price', '26.10', 'setup.stop.price', 'below the entry'];
        yield 'a stop at the entry' => ['setup.stop.price', '26.00', 'setup.stop.price', 'below the entry'];
        yield 'an entry off the tick grid' => ['setup.legs.0.trigger.price', '26.005', 'setup.legs.0.trigger.price', 'tick'];
        yield 'a tolerance below nothing' => ['setup.legs.0.trigger.within', '-0.05', 'setup.legs.0.trigger.within', 'below 0'];
        yield 'no legs' => ['setup.legs', [], 'setup.legs', 'empty'];
        yield 'a share of nothing' => ['setup.legs.0.share', '0', 'setup.legs.0.share', 'above 0'];
        yield 'shares that do not add up' => ['setup.legs.0.share', '0.9', 'setup.legs', 'add up to 1'];
        yield 'a target before the entry' => ['setup.targets.0.price', '25.90', 'setup.targets.0.price', 'above the entry'];
        yield 'a target within the tolerance' => ['setup.legs.0.trigger.within', '2.00', 'setup.targets.0.price', 'above the entry'];
        yield 'targets out of order' => ['setup.targets.1.price', '27.50', 'setup.targets.1.price', 'above target 1'];
        yield 'targets of more than all' => ['setup.targets.1.share', '0.6', 'setup.targets', 'more than 1'];
        yield 'a target without a share' => ['setup.targets.0', ['price' => '28.00'], 'setup.targets.0.share', 'required'];
        yield 'a cancel price off the tick grid' => ['setup.cancel', ['price' => '25.555'], 'setup.cancel.price', 'tick'];
        yield 'a time frame with a touch' => ['setup.stop.timeframe', '1d', 'setup.stop.timeframe', 'only with the basis close'];
        yield 'an end before the beginning' => ['setup.entry_until', '2026-10-14T18:00:00Z', 'setup.entry_until', 'after published_at'];
        yield 'a time without zone' => ['setup.published_at', '2026-10-14T18:00:00', 'setup.published_at', 'UTC'];
        yield 'a time that does not exist' => ['as_of', '2026-02-30T18:00:00Z', 'as_of', 'UTC'];
        yield 'unknown time frame' => ['timeframe', '2h', 'timeframe', 'must be one of'];
        yield 'a base time frame that is too long' => ['timeframe', '1w', 'timeframe', 'must be one of'];
        yield 'finer bars that are not finer' => ['finer', ['timeframe' => '1d', 'bars' => []], 'finer.timeframe', 'finer than 1d'];
        yield 'a bar with too few values' => ['bars.0', ['2026-10-15T08:30:00Z', '2026-10-15'], 'bars.0', '7 values'];
        yield 'bars out of order' => ['bars.0', $bar('2026-10-17', '26.00', '26.10', '25.90', '26.00'), 'bars.1', 'out of order'];
        yield 'bars doubled' => ['bars.1', $bar('2026-10-15', '26.00', '26.10', '25.90', '26.00'), 'bars.1', 'doubled'];
        yield 'a high below the low' => ['bars.0', $bar('2026-10-15', '26.00', '25.90', '26.10', '26.00'), 'bars.0', 'high is below'];
        yield 'an open outside the range' => ['bars.0', $bar('2026-10-15', '26.20', '26.10', '25.90', '26.00'), 'bars.0.2', 'open is outside'];
        yield 'a close outside the range' => ['bars.0', $bar('2026-10-15', '26.00', '26.10', '25.90', '25.80'), 'bars.0.5', 'close is outside'];
        yield 'a price of nothing' => ['bars.0', $bar('2026-10-15', '26.00', '26.10', '0', '26.00'), 'bars.0.4', 'above 0'];
        yield 'a bar price with too many decimals' => ['bars.0', $bar('2026-10-15', '26.001', '26.10', '25.90', '26.00'), 'bars.0.2', 'decimals'];
        yield 'a volume below nothing' => ['bars.0', $bar('2026-10-15', '26.00', '26.10', '25.90', '26.00', -1), 'bars.0.6', 'at least 0'];
        yield 'sessions out of order' => ['sessions', [['2026-10-16', '2026-10-16T08:30:00Z', '2026-10-16T15:00:00Z'], ['2026-10-15', '2026-10-15T08:30:00Z', '2026-10-15T15:00:00Z']], 'sessions.1', 'out of order'];
        yield 'a session that closes before it opens' => ['sessions', [['2026-10-15', '2026-10-15T15:00:00Z', '2026-10-15T08:30:00Z']], 'sessions.0.2', 'after the open'];
        yield 'a commission below nothing' => ['costs', ['commission_per_unit' => '-1'], 'costs.commission_per_unit', 'below 0'];
        yield 'slippage as a text' => ['costs', ['slippage_ticks' => '1'], 'costs.slippage_ticks', 'whole number'];
        yield 'a split of nothing' => ['splits', [['session' => '2026-10-20', 'ratio' => '0']], 'splits.0.ratio', 'above 0'];
        yield 'a doubled split' => ['splits', [['session' => '2026-10-20', 'ratio' => '2'], ['session' => '2026-10-20', 'ratio' => '2']], 'splits.1', 'doubled'];
        yield 'a stop by close without a time frame' => ['setup.stop.basis', 'close', 'setup.stop.timeframe', 'required'];
    }

    public function testAToleranceThatLeavesAShortNoPriceIsRefused(): void
    {
        $input = self::with(self::input(), ['setup'], [
            'side' => 'short',
            'legs' => [['name' => 'entry', 'share' => '1', 'trigger' => ['kind' => 'touch', 'price' => '0.05', 'within' => '0.05']]],
            'stop' => ['price' => '0.10'],
            'targets' => [],
        ] + self::input()['setup']);

        $this->expectExceptionObject(new InvalidInput('setup.legs.0.trigger.within', 'leaves no price above 0 to be filled at'));
        OutcomeReader::read(Node::of($input));
    }

    public function testNeutralDefaultsAreAccepted(): void
    {
        $input = self::input();
        $input += ['updates' => [], 'splits' => [], 'costs' => ['slippage_ticks' => 0, 'commission_per_unit' => '0'], 'sessions' => []];
        $input['setup'] += ['conditions' => [], 'stop_moves' => []];

        self::assertCount(2, OutcomeReader::read(Node::of($input))->bars);
    }

    public function testAStopBetweenThePriceAndItsToleranceIsAccepted(): void
    {
        $input = self::with(self::with(self::input(), ['setup', 'legs', '0', 'trigger', 'within'], '0.10'), ['setup', 'stop', 'price'], '26.05');

        self::assertSame(2605, OutcomeReader::read(Node::of($input))->setups[0]->stop);
    }

    /** @return array<string, mixed> */
    private static function input(): array
    {
        return [
            'instrument' => ['symbol' => 'REED.Q', 'decimals' => 2, 'tick' => '0.01'],
            'setup' => [
                'side' => 'long',
                'published_at' => '2026-10-14T18:00:00Z',
                'entry_until' => '2026-10-21T15:00:00Z',
                'legs' => [['name' => 'entry', 'share' => '1', 'trigger' => ['kind' => 'touch', 'price' => '26.00']]],
                'stop' => ['price' => '25.20', 'basis' => 'touch'],
                'targets' => [['price' => '28.00', 'share' => '0.5'], ['price' => '29.00', 'share' => '0.5']],
            ],
            'timeframe' => '1d',
            'bars' => [
                ['2026-10-15T08:30:00Z', '2026-10-15', '26.50', '26.80', '26.30', '26.60', 100],
                ['2026-10-16T08:30:00Z', '2026-10-16', '26.50', '26.80', '26.30', '26.60', 100],
            ],
            'as_of' => '2026-10-16T16:00:00Z',
        ];
    }

    /**
     * @param array<array-key, mixed> $data
     * @param list<string>            $path
     *
     * @return array<array-key, mixed>
     */
    private static function with(array $data, array $path, mixed $value): array
    {
        $key = array_shift($path);
        $inner = is_array($data[$key] ?? null) ? $data[$key] : [];
        $data[$key] = $path === [] ? $value : self::with($inner, $path, $value);

        return $data;
    }
}
