<?php

declare(strict_types=1);

namespace App\Planning;

use App\Enums\CandidateState;
use App\Models\Candidate;
use App\Models\Plan;
use App\Models\Setup;
use App\Reading\Limits;

/** Whether too much of a plan hangs on one side of the market, or on one group. */
final readonly class Exposure
{
    /** With fewer candidates a share says nothing. */
    private const LEAST = 4;

    /**
     * @param Candidate|null $only what concerns this candidate; null for all of the plan
     *
     * @return list<string>
     */
    public function warnings(Plan $plan, Limits $limits, ?Candidate $only = null): array
    {
        $planned = $plan->candidates()->with(['instrument', 'setups'])->where('state', CandidateState::Kept)->get()->filter->isPlanned();
        $warnings = [];
        // a plan for both sides of one candidate counts on each
        $sides = $planned->flatMap(static fn (Candidate $candidate) => $candidate->setups->map(static fn (Setup $setup): string => $setup->side->value)->unique())->countBy();
        $own = $only?->setups->map(static fn (Setup $setup): string => $setup->side->value)->all();
        foreach ($sides as $side => $count) {
            $percent = 100 * $count / max(1, $planned->count());
            if ($planned->count() >= self::LEAST && $percent > $limits->sideShare && ($own === null || in_array($side, $own, true))) {
                $warnings[] = "{$count} of the {$planned->count()} planned candidates are {$side}: more than your {$limits->sideShare} % on one side.";
            }
        }
        $groups = $planned->countBy(static fn (Candidate $candidate): string => $candidate->instrument->group);
        foreach ($groups as $group => $count) {
            if ($count > $limits->groupMost && ($only === null || $only->instrument->group === $group)) {
                $warnings[] = "{$count} planned candidates are of the group {$group}: more than your {$limits->groupMost}.";
            }
        }

        return $warnings;
    }
}
