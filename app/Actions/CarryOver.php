<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\CandidateSource;
use App\Enums\CandidateState;
use App\Enums\Relation;
use App\Models\Candidate;
use App\Models\Plan;
use App\Models\PublishedSetup;
use App\Planning\PlanHistory;
use App\Publishing\SplitNote;
use Illuminate\Validation\ValidationException;

/**
 * Takes something published up into the plan: unchanged, by reference; or as a new setup that continues, replaces or adds
 * to it. The earlier words come with it, and for a new setup the earlier one, to be changed.
 */
final readonly class CarryOver
{
    private const WORDS = ['shape', 'cleanness', 'speaks_for', 'speaks_against', 'conviction', 'wrong_if', 'wrong_at'];

    public function __construct(private SplitNote $splits)
    {
    }

    public function __invoke(Plan $plan, PublishedSetup $published, Relation $relation): Candidate
    {
        $symbol = $published->instrument->symbol;
        $isAlive = PublishedSetup::alive()->whereKey($published->ofSameIdea()->modelKeys())->exists();
        if (! $isAlive && $relation !== Relation::Continues) {
            throw ValidationException::withMessages(['relation' => "{$symbol} of edition {$published->edition->number} is over: a new setup can only continue it."]);
        }
        $candidate = $plan->candidates()->with('setups')->where('instrument_id', $published->instrument_id)->first();
        if ($candidate !== null && $relation === Relation::Still && $candidate->setups->isNotEmpty()) {
            throw ValidationException::withMessages(['relation' => "{$symbol} has a setup of its own in this plan: clear that first, or let the new one continue the old."]);
        }

        return PlanHistory::change($plan, "carry over {$symbol}", $published->instrument_id, function () use ($plan, $published, $relation, $candidate): Candidate {
            $earlier = Candidate::query()->with(['setups', 'instrument'])->where(['plan_id' => $published->edition->plan_id, 'instrument_id' => $published->instrument_id])->firstOrFail();
            $grid = $published->instrument->grid();
            $ratio = $this->splits->ratio($published->instrument, $published->edition->published_at)->toFloat();
            $candidate ??= $plan->candidates()->make(['instrument_id' => $published->instrument_id, 'position' => $plan->candidates()->count() + 1]);
            $candidate->fill([
                'state' => CandidateState::Kept,
                'reason' => '',
                'readers' => $published->readers,
                'carried_id' => $published->id,
                'relation' => $relation,
                'source' => CandidateSource::Carried,
                'source_note' => "edition {$published->edition->number}",
                'theme' => $earlier->theme,
                'either_or' => $earlier->either_or,
                ...$earlier->only(self::WORDS),
                'wrong_at' => $earlier->wrong_at === null ? null : $grid->afterSplit($earlier->wrong_at, $ratio),
            ])->save();
            if ($relation !== Relation::Still && $candidate->setups()->doesntExist()) {
                foreach ($earlier->setups as $setup) {
                    $candidate->setups()->create([...$setup->draft()->afterSplit($grid, $ratio)->toState(), ...$setup->only(['position', 'name', 'setup_kind_id']), 'ticked' => []]);
                }
            }
            $published->ofSameIdea()->each(static fn (PublishedSetup $one) => $one->review()->where('is_let_go', true)->update(['is_let_go' => false]));

            return $candidate->load(['plan', 'instrument', 'setups']);
        });
    }
}
