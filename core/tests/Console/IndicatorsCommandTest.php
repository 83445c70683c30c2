<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Console;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class IndicatorsCommandTest extends TestCase
{
    private const BARS = [
        ['2026-10-15T08:30:00Z', '2026-10-15', '10.00', '10.50', '9.50', '10.00', 100],
        ['2026-10-16T08:30:00Z', '2026-10-16', '10.20', '11.50', '10.00', '11.00', 300],
        ['2026-10-20T08:30:00Z', '2026-10-20', '11.10', '12.50', '11.00', '12.00', 400],
    ];

    public function testTheAnswersStandInTheOrderAsked(): void
    {
        [$code, $answer] = $this->ask([
            ['name' => 'sma', 'period' => 2],
            ['name' => 'stochastic', 'k' => 2, 'smooth' => 1, 'd' => 1],
            ['name' => 'bollinger', 'period' => 2, 'k' => '0.5'],
            ['name' => 'true_range'],
        ]);

        self::assertSame(0, $code);
        self::assertSame([null, 10.5, 11.5], $answer['indicators'][0]);
        self::assertSame(['k', 'd'], array_keys($answer['indicators'][1]));
        self::assertSame([null, 10.75, 11.75], $answer['indicators'][2]['upper']);
        self::assertSame([null, 1.5, 1.5], $answer['indicators'][3]);
    }

    /** @param array<string, mixed> $asked */
    #[DataProvider('wrong')]
    public function testWhatIsAskedWronglyIsToldAtItsPath(array $asked, string $path): void
    {
        [$code, $answer] = $this->ask([$asked]);

        self::assertSame([2, $path], [$code, $answer['error']['path']]);
    }

    /** @return iterable<array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'unknown name' => [['name' => 'moon'], 'indicators.0.name'];
        yield 'no name' => [['period' => 3], 'indicators.0.name'];
        yield 'a period of nothing' => [['name' => 'rsi', 'period' => 0], 'indicators.0.period'];
        yield 'a parameter of another indicator' => [['name' => 'rsi', 'fast' => 3], 'indicators.0.fast'];
        yield 'a multiple below nothing' => [['name' => 'keltner', 'k' => -1], 'indicators.0.k'];
    }

    public function testTheListTellsParametersAndOutputs(): void
    {
        exec(escapeshellarg(dirname(__DIR__, 2).'/bin/watchpost').' indicators --list', $lines, $code);
        $list = json_decode(implode("\n", $lines), true, 8, JSON_THROW_ON_ERROR);
        self::assertIsArray($list);
        $macd = array_values(array_filter($list['indicators'], static fn (array $one): bool => $one['name'] === 'macd'))[0];

        self::assertSame(0, $code);
        self::assertSame(['macd', 'signal', 'histogram'], $macd['outputs']);
        self::assertSame(['fast' => 12, 'slow' => 26, 'signal' => 9], array_column($macd['parameters'], 'default', 'name'));
    }

    /**
     * @param list<array<string, mixed>> $indicators
     *
     * @return array{int, array<string, mixed>} exit code, what was written
     */
    private function ask(array $indicators): array
    {
        [$code, $out, $err] = Watchpost::run('indicators', json_encode(['timeframe' => '1d', 'bars' => self::BARS, 'indicators' => $indicators], JSON_THROW_ON_ERROR));
        $answer = json_decode($code === 0 ? $out : $err, true, 16, JSON_THROW_ON_ERROR);
        self::assertIsArray($answer);

        return [$code, $answer];
    }
}
