<?php

declare(strict_types=1);

namespace App\Record;

use App\Clock\MarketClock;
use App\Models\Outcome;
use App\Models\PublishedSetup;
use App\Publishing\EditionReader;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Watchpost\Core\InvalidInput;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Outcomes\GroupEngine;
use Watchpost\Core\Outcomes\RunStore;
use Watchpost\Core\Outcomes\SetupRun;
use Watchpost\Core\Setups\Update;

/**
 * Follows a published setup, with those of its group: takes up their runs where they stood, feeds the bars that came
 * since, and stores them; as published, and beside it as managed once there is an update. Evaluating again without new
 * bars changes nothing.
 */
final readonly class SetupEvaluator
{
    public function __construct(
        private MarketClock $clock,
        private EditionReader $editions,
        private GroupEngine $engine,
        private Runs $runs,
        private Updates $updates,
    ) {
    }

    public function evaluate(PublishedSetup $published): void
    {
        DB::transaction(function () use ($published): void {
            $members = $published->together();
            $this->follow($published, $members, []);
            $updates = $this->updates->acting($members);
            while ($updates !== []) {
                try {
                    $this->follow($published, $members, $updates);
                    break;
                } catch (InvalidInput $fault) {
                    // what came between its moment and its first bar has made it void: the others act without it
                    $this->updates->refuse($fault);
                    Outcome::query()->where('is_managed', true)->whereIn('published_setup_id', $members->modelKeys())->delete();
                    $updates = $this->updates->acting($members);
                }
            }
        });
    }

    /**
     * @param Collection<int, PublishedSetup>                  $members
     * @param list<list<Update>> $updates of each member; none to follow them as published
     *
     * @throws InvalidInput when an update is one that the rules refuse at its first bar
     */
    private function follow(PublishedSetup $published, Collection $members, array $updates): void
    {
        $isManaged = $updates !== [];
        $rows = Outcome::query()->where('is_managed', $isManaged)->whereIn('published_setup_id', $members->modelKeys())->lockForUpdate()->get()->keyBy('published_setup_id');
        if ($rows->count() === $members->count() && $rows->every->is_over) {
            return;
        }
        $sealed = array_values($members->map(fn (PublishedSetup $one): SealedSetup => $this->editions->setup($one->edition, $one->key))->all());
        $runs = $this->runs->takeUp($sealed, $published->instrument, array_map(static fn (int $id): ?Outcome => $rows->get($id), array_values($members->modelKeys())), $updates);
        $runs = $this->feed($runs, $this->runs->next($runs, $published->instrument));

        $now = $this->clock->moment();
        $outcomes = $this->engine->outcomes($runs, $now);
        foreach ($members->values() as $i => $member) {
            Outcome::query()->updateOrCreate(['published_setup_id' => $member->id, 'is_managed' => $isManaged], [
                'status' => $outcomes[$i]->status,
                'is_over' => $runs[$i]->isOver(),
                'as_of' => $now,
                'run' => RunStore::save($runs[$i]),
            ]);
        }
    }

    /**
     * @param list<SetupRun> $runs
     * @param list<Bar>      $bars
     *
     * @return list<SetupRun>
     */
    private function feed(array $runs, array $bars): array
    {
        foreach ($bars as $bar) {
            $alive = array_filter($runs, static fn (SetupRun $run): bool => ! $run->isOver());
            if ($alive === []) {
                break;
            }
            $fed = array_values($alive);
            $this->engine->feed($fed, $bar);
            $runs = array_values(array_replace($runs, array_combine(array_keys($alive), $fed)));
        }

        return $runs;
    }
}
