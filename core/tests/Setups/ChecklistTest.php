<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Setups;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Checklist\Evening;
use Watchpost\Core\Setups\Checklist\Judges;
use Watchpost\Core\Setups\Checklist\Standing;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\PlanFigures;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;

final class ChecklistTest extends TestCase
{
    /** Thirty days that each close a cent higher, from 40.01 to 40.30, the last on twice the volume; the setup risks 1.00 for 2.00. */
    private static function evening(bool $planned = true, ?int $earningsIn = null): Evening
    {
        $bars = [];
        for ($i = 1; $i <= 30; ++$i) {
            $close = 4000 + $i;
            $bars[] = new Bar($i * 86_400, $i * 86_400, gmdate('Y-m-d', $i * 86_400), $close, $close + 50, $close - 50, $close, $i === 30 ? 2000 : 1000);
        }
        $draft = new Draft(Side::Long, [new DraftLeg(TriggerKind::Touch, 3980)], 3880, [new DraftTarget(4180, '1')], 5);

        return new Evening($planned ? new PlanFigures($draft->toSetup(new PriceGrid(2), 0, 1), 4030) : null, Series::of(new PriceGrid(2), TimeFrame::Day, $bars), 100.0, $earningsIn, 5);
    }

    #[DataProvider('lines')]
    public function testALineIsJudgedWithTheValueItFound(string $kind, string $value, Standing $standing, string $found, ?int $earningsIn = null): void
    {
        $verdict = Judges::read($kind, $value)->judge(self::evening(earningsIn: $earningsIn));

        self::assertSame([$standing, $found], [$verdict->standing, $verdict->value]);
    }

    /** @return iterable<string, array{0: string, 1: string, 2: Standing, 3: string, 4?: int}> */
    public static function lines(): iterable
    {
        yield 'reward met, bound included' => ['reward_min', '2', Standing::Met, '2.00 R'];
        yield 'reward failed' => ['reward_min', '2.01', Standing::Failed, '2.00 R'];
        yield 'stop met' => ['stop_min', '1', Standing::Met, '1.0 ATR'];
        yield 'stop failed' => ['stop_min', '1.1', Standing::Failed, '1.0 ATR'];
        yield 'near' => ['near', '0.5', Standing::Met, '0.5 ATR'];
        yield 'not near yet' => ['near', '0.4', Standing::NotYet, '0.5 ATR'];
        yield 'above its average' => ['sma_above', '3', Standing::Met, '40.29'];
        yield 'not below it' => ['ema_below', '1', Standing::NotYet, '40.30'];
        yield 'average with too few sessions' => ['sma_above', '200', Standing::NotYet, 'too few sessions'];
        yield 'RSI not low' => ['rsi_max', '70', Standing::NotYet, '100.0'];
        yield 'RSI high' => ['rsi_min', '100', Standing::Met, '100.0'];
        yield 'volume' => ['volume_min', '2', Standing::Met, '2.0 times'];
        yield 'volume not yet' => ['volume_min', '2.1', Standing::NotYet, '2.0 times'];
        yield 'no earnings in sight' => ['no_earnings', '0', Standing::Met, 'none in sight'];
        yield 'earnings after its time' => ['no_earnings', '0', Standing::Met, 'in 6 sessions', 6];
        yield 'earnings in its time' => ['no_earnings', '0', Standing::Failed, 'in 5 sessions', 5];
        yield 'earnings soon after its time' => ['no_earnings', '1', Standing::Failed, 'in 6 sessions', 6];
    }

    public function testWithoutEntryAndStopWhatHangsOnThemIsNotYet(): void
    {
        foreach (['reward_min', 'stop_min', 'near'] as $kind) {
            self::assertSame(Standing::NotYet, Judges::read($kind, '1')->judge(self::evening(planned: false))->standing, $kind);
        }
    }

    #[DataProvider('faults')]
    public function testAValueThatDoesNotFitIsRefused(string $kind, string $value): void
    {
        $this->expectException(InvalidInput::class);
        Judges::read($kind, $value);
    }

    /** @return iterable<string, array{string, string}> */
    public static function faults(): iterable
    {
        yield 'no number' => ['reward_min', 'much'];
        yield 'half a session' => ['sma_above', '20.5'];
        yield 'no session' => ['ema_below', '0'];
        yield 'RSI beyond its scale' => ['rsi_max', '101'];
        yield 'sessions before' => ['no_earnings', '-1'];
        yield 'unknown' => ['moon', '1'];
    }

    public function testEveryKindOfLineReadsAsASentence(): void
    {
        foreach (array_keys(Judges::kinds()) as $kind) {
            self::assertMatchesRegularExpression('/^[a-z].*\w$/', Judges::read($kind, '3')->describe());
        }
    }
}
