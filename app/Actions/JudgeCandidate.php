<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\CandidateState;
use App\Enums\Tier;
use App\Models\Candidate;
use App\Planning\PlanHistory;
use Illuminate\Validation\ValidationException;

/** Keeps a candidate or passes it, with the reason, and says who may read it. */
final class JudgeCandidate
{
    public function __invoke(Candidate $candidate, CandidateState $state, string $reason, Tier $readers): void
    {
        $reason = trim($reason);
        if ($state === CandidateState::Passed && $reason === '') {
            throw ValidationException::withMessages(['reason' => "Say why {$candidate->instrument->symbol} is passed: the reason is published with the plan."]);
        }
        $label = match ($state) {
            CandidateState::Kept => 'keep',
            CandidateState::Passed => 'pass',
            CandidateState::New => 'set back',
        };
        PlanHistory::change(
            $candidate->plan,
            "{$label} {$candidate->instrument->symbol}",
            $candidate->instrument_id,
            static fn () => $candidate->update(['state' => $state, 'reason' => $reason, 'readers' => $readers]),
        );
    }
}
