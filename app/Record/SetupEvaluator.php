<?php

declare(strict_types=1);

namespace App\Record;

use App\Clock\MarketClock;
use App\Models\Outcome;
use App\Models\PublishedSetup;
use App\Publishing\EditionReader;
use Illuminate\Support\Facades\DB;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\RunStore;

/**
 * Follows a published setup: takes up its run where it stood, feeds the bars that came since, and stores it. Evaluating again without new bars changes nothing.
 */
final readonly class SetupEvaluator
{
    public function __construct(
        private MarketClock $clock,
        private EditionReader $editions,
        private OutcomeEngine $engine,
        private Runs $runs,
    ) {
    }

    public function evaluate(PublishedSetup $published): Outcome
    {
        return DB::transaction(function () use ($published): Outcome {
            $outcome = Outcome::query()->where('published_setup_id', $published->id)->lockForUpdate()->first();
            if ($outcome?->is_over === true) {
                return $outcome;
            }
            $sealed = $this->editions->setup($published->edition, $published->key);
            $run = $this->runs->takeUp($sealed, $published->instrument, $outcome);

            foreach ($this->runs->next($run, $published->instrument) as $bar) {
                $this->engine->feed($run, $bar);
                if ($run->isOver()) {
                    break;
                }
            }
            $now = $this->clock->moment();
            return Outcome::query()->updateOrCreate(['published_setup_id' => $published->id], [
                'status' => $this->runs->outcome($run, $now)->status,
                'is_over' => $run->isOver(),
                'as_of' => $now,
                'run' => RunStore::save($run),
            ]);
        });
    }
}
