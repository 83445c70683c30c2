<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\CandidateSource;
use App\Enums\CandidateState;
use App\Models\Candidate;
use App\Models\Instrument;
use App\Models\Plan;
use App\Models\Tier;
use App\Planning\PlanHistory;
use Illuminate\Validation\ValidationException;

/** Puts an instrument on a plan's working list, at its end. */
final class AddCandidate
{
    public function __invoke(Plan $plan, Instrument $instrument, CandidateSource $source = CandidateSource::Typed, string $note = ''): Candidate
    {
        if ($plan->candidates()->where('instrument_id', $instrument->id)->exists()) {
            throw ValidationException::withMessages(['instrument' => "{$instrument->symbol} is on the list already."]);
        }

        return PlanHistory::change($plan, "add {$instrument->symbol}", $instrument->id, static fn (): Candidate => $plan->candidates()->create([
            'instrument_id' => $instrument->id,
            'position' => $plan->candidates()->count() + 1,
            'state' => CandidateState::New,
            'reason' => '',
            'readers' => Tier::VISITORS,
            'source' => $source,
            'source_note' => $note,
            'theme' => '',
        ]));
    }
}
