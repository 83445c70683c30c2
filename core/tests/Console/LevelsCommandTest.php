<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Console;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\Tests\Levels\Bars;

final class LevelsCommandTest extends TestCase
{
    public function testItTellsLevelsWithTheirEvidence(): void
    {
        $levels = $this->levels(['bars' => self::bars(400)]);
        $kinds = array_values(array_unique(array_column($levels, 'kind')));

        foreach (['zone', 'period', 'gap', 'pivot', 'line', 'average', 'round', 'expected_range', 'confluence'] as $kind) {
            self::assertContains($kind, $kinds);
        }
        self::assertTrue(in_array('retracement', $kinds, true) || in_array('projection', $kinds, true));
        foreach ($levels as $level) {
            self::assertMatchesRegularExpression('/^\d+\.\d\d$/', $level['price']);
            self::assertLessThanOrEqual((float) $level['price'], (float) $level['low']);
            self::assertGreaterThanOrEqual((float) $level['price'], (float) $level['high']);
            self::assertContains($level['grade'], ['major', 'minor']);
            self::assertContains($level['role'], ['support', 'resistance', 'at_price']);
            self::assertNotSame('', $level['origin']);
        }
        $zones = array_values(array_filter($levels, static fn (array $level): bool => $level['kind'] === 'zone'));
        self::assertLessThanOrEqual(12, count($zones));
        self::assertNotSame([], array_merge(...array_column($zones, 'touches')));
        self::assertContains($zones[0]['touches'][0]['kind'] ?? 'held', ['held', 'broke', 'role_change']);
    }

    public function testOptionsChooseKindsAndLimits(): void
    {
        $bars = self::bars(400);
        $only = $this->levels(['bars' => $bars, 'options' => ['kinds' => ['pivot', 'average'], 'averages' => [['type' => 'sma', 'period' => 7]], 'reach_atr' => 1.0]]);

        self::assertSame([], array_diff(array_column($only, 'kind'), ['pivot', 'average']));
        self::assertContains('SMA 7', array_column($only, 'origin'));
        self::assertCount(2, $this->levels(['bars' => $bars, 'options' => ['kinds' => ['zone'], 'most_zones' => 2]]));
        self::assertSame([], array_filter($this->levels(['bars' => $bars, 'options' => ['look_back' => 100]]), static fn (array $level): bool => str_starts_with($level['origin'], '52-week')));
    }

    public function testAskedForAnEarlierEveningItKnowsNoMore(): void
    {
        $bars = self::bars(400);
        $then = array_slice($bars, 0, 300);

        self::assertSame($this->levels(['bars' => $then, 'as_of' => $then[299][1]]), $this->levels(['bars' => $bars, 'as_of' => $then[299][1]]));
        self::assertSame([], $this->levels(['bars' => $bars, 'as_of' => '2020-01-01']));
        self::assertSame([], $this->levels(['bars' => []]));
    }

    public function testAWeekThatIsNotOverIsNotKnown(): void
    {
        $weeks = array_values(array_filter(self::bars(400), static fn (array $bar): bool => (new \DateTimeImmutable($bar[1]))->format('N') === '1'));
        $last = $weeks[count($weeks) - 1];
        $friday = (new \DateTimeImmutable($last[1]))->modify('+4 days')->format('Y-m-d');

        self::assertSame($this->levels(['timeframe' => '1w', 'bars' => array_slice($weeks, 0, -1), 'as_of' => $friday]), $this->levels(['timeframe' => '1w', 'bars' => $weeks, 'as_of' => $friday]));
    }

    /** @param array<string, mixed> $changes */
    #[DataProvider('rejected')]
    public function testBadInputIsRejectedWithItsPath(array $changes, string $path): void
    {
        [$code, $out, $err] = Watchpost::run('levels', (string) json_encode([...['instrument' => ['symbol' => 'OAKL.Q', 'decimals' => 2, 'tick' => '0.01'], 'timeframe' => '1d', 'bars' => self::bars(3)], ...$changes]));

        self::assertSame([2, ''], [$code, $out]);
        self::assertSame($path, json_decode($err, true)['error']['path']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function rejected(): iterable
    {
        $bars = self::bars(3);
        yield 'time frame' => [['timeframe' => '2d'], 'timeframe'];
        yield 'a kind' => [['options' => ['kinds' => ['zone', 'cloud']]], 'options.kinds.1'];
        yield 'an unknown option' => [['options' => ['limit' => 3]], 'options.limit'];
        yield 'look-back' => [['options' => ['look_back' => 0]], 'options.look_back'];
        yield 'an average' => [['options' => ['averages' => [['type' => 'wma', 'period' => 5]]]], 'options.averages.0.type'];
        yield 'a date' => [['as_of' => 'Friday'], 'as_of'];
        yield 'bars out of order' => [['bars' => [$bars[1], $bars[0]]], 'bars.1'];
        yield 'a price of 0' => [['bars' => [[$bars[0][0], $bars[0][1], '0', '1', '0', '1', 1]]], 'bars.0.2'];
        yield 'decimals' => [['instrument' => ['decimals' => 9]], 'instrument.decimals'];
        yield 'a tick' => [['instrument' => ['decimals' => 2, 'tick' => '0.001']], 'instrument.tick'];
    }

    /**
     * @param array<string, mixed> $input
     *
     * @return list<array{kind: string, low: string, price: string, high: string, grade: string, role: string, origin: string, touches: list<array{session: string, price: string, kind: string}>}>
     */
    private function levels(array $input): array
    {
        [$code, $out, $err] = Watchpost::run('levels', (string) json_encode(['instrument' => ['symbol' => 'OAKL.Q', 'decimals' => 2, 'tick' => '0.01'], 'timeframe' => '1d', ...$input]));
        self::assertSame([0, ''], [$code, $err]);

        return json_decode($out, true, 512, JSON_THROW_ON_ERROR)['levels'];
    }

    /** @return list<array{string, string, string, string, string, string, int}> */
    private static function bars(int $count): array
    {
        // from the 350th bar on everything stands 3.00 higher: a gap
        $lift = static fn (array $bar, int $i): array => array_map(static fn (int $price): int => $price + ($i < 350 ? 0 : 300), $bar);
        $walk = Bars::walk(5, $count);
        $series = Bars::series(array_map($lift, $walk, array_keys($walk)));
        $price = $series->grid->format(...);

        return array_map(
            static fn (int $i): array => [gmdate('Y-m-d\TH:i:s\Z', $series->start[$i]), $series->session[$i], $price($series->open[$i]), $price($series->high[$i]), $price($series->low[$i]), $price($series->close[$i]), $series->volume[$i]],
            range(0, $count - 1),
        );
    }
}
