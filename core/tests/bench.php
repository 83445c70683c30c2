<?php

declare(strict_types=1);

// Measures the core alone: many setups, each over 60 day bars; six indicators on 500 x 3,000 bars; larger bars; the
// end-of-day pass. Run by bin/bench.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use Watchpost\Core\Indicators\Atr;
use Watchpost\Core\Indicators\Bollinger;
use Watchpost\Core\Indicators\Catalogue;
use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\Inputs;
use Watchpost\Core\Indicators\Macd;
use Watchpost\Core\Indicators\Rsi;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Levels\CrossCheck;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Levels\LevelKind;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Rehearsal\LevelRule;
use Watchpost\Core\Rehearsal\Past;
use Watchpost\Core\Rehearsal\Rehearsal;
use Watchpost\Core\Rehearsal\Rule;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\DraftLeg;
use Watchpost\Core\Setups\DraftTarget;
use Watchpost\Core\Setups\RelativeDraft;
use Watchpost\Core\Setups\Side;
use Watchpost\Core\Setups\TriggerKind;
use Watchpost\Core\Tests\Outcomes\RandomCase;

const SETUPS = 10_000;

$requests = array_map(static fn (int $seed) => (new RandomCase($seed, 60))->request(finer: false), range(1, 50));
$engine = new OutcomeEngine();
$start = hrtime(true);
for ($i = 0; $i < SETUPS; ++$i) {
    $request = $requests[$i % count($requests)];
    $run = $request->runs()[0];
    foreach ($request->bars as $bar) {
        $engine->feed($run, $bar);
        if ($run->isOver()) {
            break;
        }
    }
    $engine->outcome($run, $request->asOf);
}
printf("%6.2f s  %d setups over up to 60 day bars each, one process (peak memory %d MB)\n", (hrtime(true) - $start) / 1e9, SETUPS, memory_get_peak_usage() >> 20);

const INSTRUMENTS = 500;
const BARS = 3_000;

$close = $high = $low = [];
$price = 100.0;
for ($i = 0; $i < BARS; ++$i) {
    $price *= 1 + 0.01 * sin($i * 12.9898);
    $close[] = $price;
    $high[] = $price * 1.01;
    $low[] = $price * 0.99;
}
$indicators = [
    'sma' => static fn () => Sma::of($close, 20),
    'ema' => static fn () => Ema::of($close, 20),
    'rsi' => static fn () => Rsi::of($close, 14),
    'atr' => static fn () => Atr::of($high, $low, $close, 14),
    'macd' => static fn () => Macd::of($close, 12, 26, 9),
    'bollinger' => static fn () => Bollinger::of($close, 20, 2.0),
];
$all = 0.0;
foreach ($indicators as $name => $compute) {
    $start = hrtime(true);
    for ($i = 0; $i < INSTRUMENTS; ++$i) {
        $compute();
    }
    $seconds = (hrtime(true) - $start) / 1e9;
    $all += $seconds;
    printf("%6.2f s  %s on %d x %d bars\n", $seconds, $name, INSTRUMENTS, BARS);
}
printf("%6.2f s  all six (peak memory %d MB)\n", $all, memory_get_peak_usage() >> 20);

// the end-of-day pass: every standard indicator on every time frame of sixty instruments
const PASS_INSTRUMENTS = 60;
const PASS_DAYS = 3_000;
const PASS_FINE_SESSIONS = 60;

$grid = new PriceGrid(2);
$bars = static function (int $sessions, int $perSession): array {
    $bars = [];
    $price = 10_000.0;
    $day = new \DateTimeImmutable('2014-10-14 08:30', new \DateTimeZone('UTC'));
    for ($i = 0; $i < $sessions; ++$i, $day = $day->modify('+1 weekday')) {
        $open = $day->getTimestamp();
        for ($j = 0; $j < $perSession; ++$j) {
            $close = max(100, (int) ($price *= 1 + 0.01 * sin(($i * $perSession + $j) * 12.9898)));
            $length = $perSession === 1 ? 23_400 : 300;
            $bars[] = new Bar($open + $j * 300, $open + $j * 300 + $length, $day->format('Y-m-d'), $close, $close + 40, $close - 40, $close, 1_000 + $j);
        }
    }

    return $bars;
};
$days = $bars(PASS_DAYS, 1);
$fine = $bars(PASS_FINE_SESSIONS, 78);
$builder = static fn (): BarBuilder => new BarBuilder(new SessionBook());
$frames = [
    [$fine, [TimeFrame::ThirtyMinutes, TimeFrame::Hour, TimeFrame::FourHours]],
    [$days, [TimeFrame::Week, TimeFrame::Month, TimeFrame::Quarter]],
];
$start = hrtime(true);
$built = [];
for ($i = 0; $i < PASS_INSTRUMENTS; ++$i) {
    $built = [$fine, $days];
    foreach ($frames as [$small, $larger]) {
        foreach ($larger as $frame) {
            $built[] = $builder()->build($small, $frame);
        }
    }
}
printf("%6.2f s  larger bars of %d instruments: six time frames from %d bars of five minutes and %d days each\n", (hrtime(true) - $start) / 1e9, PASS_INSTRUMENTS, count($fine), count($days));
$start = hrtime(true);
$values = 0;
for ($i = 0; $i < PASS_INSTRUMENTS; ++$i) {
    foreach ($built as $series) {
        $inputs = Inputs::of($series, $grid);
        foreach (Catalogue::all() as $indicator) {
            $indicator->compute($inputs);
            $values += count($series);
        }
    }
}
printf("%6.2f s  end-of-day pass: %d indicators on %d time frames of %d instruments, %.1f million values (peak memory %d MB)\n", (hrtime(true) - $start) / 1e9, count(Catalogue::all()), count($built), PASS_INSTRUMENTS, $values / 1e6, memory_get_peak_usage() >> 20);

// the cross-check of a whole evening's watched list
$series = Series::of($grid, TimeFrame::Day, $days);
$start = hrtime(true);
$found = 0;
for ($i = 0; $i < PASS_INSTRUMENTS; ++$i) {
    $found += count((new CrossCheck())->of(new LevelInput($series)));
}
printf("%6.2f s  cross-check of %d instruments, %d day bars each: %d levels\n", (hrtime(true) - $start) / 1e9, PASS_INSTRUMENTS, count($days), $found);

// a setup at a zone, rehearsed on a year of every instrument
$range = (new LevelInput($series))->range;
$close = $series->lastClose() ?? 0;
$draft = new Draft(Side::Long, [new DraftLeg(TriggerKind::Touch, $close - 10)], $close - 10 - (int) $range, [new DraftTarget($close + (int) (2 * $range), '1')], 5);
$rule = new Rule(new RelativeDraft($draft, $grid, $close - 10, $range), new LevelRule(LevelKind::Zone), $close);
$start = hrtime(true);
$cases = 0;
for ($i = 0; $i < PASS_INSTRUMENTS; ++$i) {
    $cases += count((new Rehearsal($rule))->over(new Past('BRKF.Q', $series, new SessionBook()), 252));
}
printf("%6.2f s  rehearsal at zones over a year of %d instruments: %d cases\n", (hrtime(true) - $start) / 1e9, PASS_INSTRUMENTS, $cases);
