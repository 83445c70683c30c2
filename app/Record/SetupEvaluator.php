<?php

declare(strict_types=1);

namespace App\Record;

use App\Clock\MarketClock;
use App\Market\BarRepository;
use App\Models\Outcome;
use App\Models\PublishedSetup;
use App\Publishing\EditionReader;
use Illuminate\Support\Facades\DB;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Outcomes\OutcomeEngine;
use Watchpost\Core\Outcomes\RunStore;
use Watchpost\Core\Outcomes\SetupRun;

/**
 * Follows a published setup: takes up its run where it stood, feeds the bars that came since, and stores run and
 * result together. Evaluating again without new bars changes nothing.
 */
final readonly class SetupEvaluator
{
    public function __construct(
        private BarRepository $bars,
        private MarketClock $clock,
        private ExchangeCalendar $calendar,
        private EditionReader $editions,
        private OutcomeEngine $engine,
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
            $run = $outcome === null
                ? new SetupRun($sealed->setup, $sealed->grid, $sealed->costs)
                : RunStore::load($outcome->run, $sealed->setup, $sealed->grid, $sealed->costs);

            $from = $run->lastBarStart === null ? $sealed->setup->publishedAt : $run->lastBarStart + 1;
            foreach ($this->bars->from($published->instrument, $sealed->judgedOn, $from) as $bar) {
                $this->engine->feed($run, $bar);
                if ($run->isOver()) {
                    break;
                }
            }
            $now = $this->clock->moment();
            $result = $this->engine->outcome($run, $now, $this->sessions($sealed->setup->publishedAt, $now));

            return Outcome::query()->updateOrCreate(['published_setup_id' => $published->id], [
                'status' => $result->status,
                'is_over' => $run->isOver(),
                'as_of' => $now,
                'run' => RunStore::save($run),
                'result' => $result->toArray(),
            ]);
        });
    }

    private function sessions(int $from, int $to): SessionBook
    {
        return new SessionBook($this->calendar->between($this->calendar->dateOf($from), $this->calendar->dateOf($to)));
    }
}
