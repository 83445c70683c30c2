<?php

declare(strict_types=1);

// Measures the core alone: many setups, each over 60 day bars; six indicators on 500 x 3,000 bars. Run by bin/bench.

require dirname(__DIR__, 2).'/vendor/autoload.php';

use Watchpost\Core\Indicators\Atr;
use Watchpost\Core\Indicators\Bollinger;
use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\Macd;
use Watchpost\Core\Indicators\Rsi;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Outcomes\Costs;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\SetupRun;
use Watchpost\Core\Tests\Outcomes\RandomCase;

const SETUPS = 10_000;

$requests = array_map(static fn (int $seed) => (new RandomCase($seed, 60))->request(finer: false), range(1, 50));
$engine = new OutcomeEngine();
$start = hrtime(true);
for ($i = 0; $i < SETUPS; ++$i) {
    $request = $requests[$i % count($requests)];
    $run = new SetupRun($request->setup, $request->grid, Costs::none());
    foreach ($request->bars as $bar) {
        $engine->feed($run, $bar);
        if ($run->isOver()) {
            break;
        }
    }
    $engine->outcome($run, $request->asOf, $request->sessions);
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
