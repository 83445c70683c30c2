<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\CandidateState;
use App\Enums\NoTrade;
use App\Models\Candidate;
use App\Planning\PlanHistory;
use Illuminate\Validation\ValidationException;

/** Keeps a candidate or says that it is no trade, with the reason, and says who may read it. */
final class JudgeCandidate
{
    /**
     * @param string   $readers     key of the lowest tier that it is meant for
     * @param string|null $theme    with which others it belongs; null leaves that
     * @param int|null $wouldChange the price, in units, that would change the verdict
     */
    public function __invoke(Candidate $candidate, CandidateState $state, string $reason, string $readers, NoTrade $noTrade = NoTrade::Pass, ?int $wouldChange = null, ?string $theme = null): void
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
            static fn () => $candidate->update([
                'state' => $state,
                'reason' => $reason,
                'readers' => $readers,
                'no_trade' => $state === CandidateState::Passed ? $noTrade : NoTrade::Pass,
                'theme' => trim($theme ?? $candidate->theme),
                'would_change' => $state === CandidateState::Passed ? $wouldChange : null,
            ]),
        );
    }
}
