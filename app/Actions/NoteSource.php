<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\CandidateSource;
use App\Models\Candidate;
use App\Planning\PlanHistory;

/** Notes where an idea came from when it is neither the author's own nor a reader's. */
final class NoteSource
{
    /** @param string $note empty for one of the author's own */
    public function __invoke(Candidate $candidate, string $note): void
    {
        $note = trim($note);
        PlanHistory::change($candidate->plan, "note the source of {$candidate->instrument->symbol}", $candidate->instrument_id, static fn () => $candidate->update([
            'source' => match (true) {
                // what was carried over or asked for stays so; the note says more
                in_array($candidate->source, [CandidateSource::Carried, CandidateSource::Asked], true) => $candidate->source,
                $note === '' => CandidateSource::Typed,
                default => CandidateSource::Outside,
            },
            'source_note' => $note,
        ]));
    }
}
