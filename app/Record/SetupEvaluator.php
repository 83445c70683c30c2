<?php

declare(strict_types=1);

namespace App\Record;

use App\Clock\MarketClock;
use App\Market\BarRepository;
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
        private BarRepository $bars,
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

            $from = $run->lastBarStart === null ? $sealed->setup->publishedAt : $run->lastBarStart + 1;
            foreach ($this->bars->from($published->instrument, $sealed->judgedOn, $from) as $bar) {
                $this->engine->feed($run, $bar);
                if ($run->isOver()) {
                    break;
                }
            }
            $now = $this->clock->moment();
            return Outcome::query()->updateOrCreate(['published_setup_id' => $published->id], [
                'status' => $this->runs->outcome($run, $published->instrument, $now)->status,
                'is_over' => $run->isOver(),
                'as_of' => $now,
                'run' => RunStore::save($run),
            ]);
        });
    }
}
