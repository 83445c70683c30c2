<?php

declare(strict_types=1);

// Measures the engine alone: many setups, each over 60 day bars. Run by bin/bench.

require dirname(__DIR__, 2).'/vendor/autoload.php';

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
