<?php

declare(strict_types=1);

namespace App\Planning;

use App\Data\DayLineStepData;
use App\Enums\CandidateState;
use App\Models\PublishedSetup;
use App\Models\User;
use App\Reviewing\LookBack;

/** The steps of the evening's work that exist so far, and where the current plan stands in each. */
final readonly class DayLine
{
    public function __construct(private CurrentPlan $current)
    {
    }

    /** @return list<DayLineStepData> */
    public function of(User $user): array
    {
        $author = $user->author();
        if ($author === null) {
            return [];
        }
        $plan = $this->current->of($author);
        $candidates = $plan->candidates()->with('setups')->get();
        $total = $candidates->count();
        $undecided = $candidates->where('state', CandidateState::New)->count();
        $kept = $candidates->where('state', CandidateState::Kept);
        $planned = $kept->filter->isPlanned()->count();
        $followed = PublishedSetup::query()->count();

        $back = LookBack::of($author);
        $unsettled = $back->unsettled($plan);

        return [
            new DayLineStepData('review', 'Review', '/plan/review', $back->setups->isEmpty() ? 'nothing published' : ($unsettled > 0 ? "{$unsettled} of {$back->setups->count()} to settle" : "{$back->setups->count()} looked at"), $back->setups->isNotEmpty() && $unsettled === 0),
            new DayLineStepData('market', 'Market', '/plan/market', $plan->bias === '' ? 'no stance yet' : 'stance written', $plan->bias !== ''),
            new DayLineStepData('candidates', 'Candidates', '/plan/candidates', $total === 0 ? 'none yet' : ($undecided > 0 ? "{$undecided} of {$total} undecided" : "{$total} decided"), $total > 0 && $undecided === 0),
            new DayLineStepData('mark', 'Mark and plan', '/plan/mark', $kept->isEmpty() ? 'nothing kept' : "{$planned} of {$kept->count()} planned", $kept->isNotEmpty() && $planned === $kept->count()),
            new DayLineStepData('publish', 'Publish', '/plan/publish', $kept->isNotEmpty() && $undecided === 0 && $planned === $kept->count() ? 'ready' : 'not ready', false),
            new DayLineStepData('record', 'Record', '/record', $followed === 1 ? '1 setup' : "{$followed} setups", false),
        ];
    }
}
