<?php

declare(strict_types=1);

namespace Watchpost\Core\Console;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Outcomes\Outcome;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\OutcomeReader;

/** `watchpost outcome`: the JSON of rules.md in, the outcome as JSON out. */
final class OutcomeCommand extends Command
{
    protected function answer(Node $input): array
    {
        $request = OutcomeReader::read($input);
        $results = array_map(static fn (Outcome $outcome): array => $outcome->toArray(), $request->answer(new OutcomeEngine()));

        return $request->several ? ['results' => $results] : $results[0];
    }
}
