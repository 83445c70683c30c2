<?php

declare(strict_types=1);

namespace App\Planning;

use App\Enums\CandidateState;
use App\Models\Candidate;
use App\Models\Setup;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Setups\Draft;

/** Keeps the setup of a candidate, and refuses one whose parts do not fit together. */
final class DraftSetups
{
    public const USUAL_GOOD_FOR = 5;

    public static function of(Candidate $candidate): Draft
    {
        return $candidate->setup?->draft() ?? Draft::blank(self::USUAL_GOOD_FOR);
    }

    /**
     * @param string|null $field where a refusal is told, when the rule that is broken speaks of another field
     *
     * @throws ValidationException
     */
    public static function keep(Candidate $candidate, Draft $draft, string $label, ?string $field = null): void
    {
        if (! $candidate->instrument->isTraded()) {
            throw ValidationException::withMessages([$field ?? 'setup' => "{$candidate->instrument->symbol} is watched, not traded: it takes levels, but no setup."]);
        }
        $problems = $draft->problems($candidate->instrument->grid());
        if ($problems !== []) {
            throw ValidationException::withMessages([$field ?? $problems[0]->path => $problems[0]->message]);
        }
        PlanHistory::change($candidate->plan, "{$label} of {$candidate->instrument->symbol}", $candidate->instrument_id, static function () use ($candidate, $draft): void {
            Setup::query()->updateOrCreate(['candidate_id' => $candidate->id], Setup::columns($draft));
            // who plans a candidate keeps it, also one that was passed before
            if ($candidate->state !== CandidateState::Kept) {
                $candidate->update(['state' => CandidateState::Kept, 'reason' => '']);
            }
        });
        $candidate->unsetRelation('setup');
    }
}
