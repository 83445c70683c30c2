<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Candidate;
use App\Planning\PlanHistory;

/** Writes down what the author reads in the chart of a candidate. */
final class NoteReading
{
    private const WORDS = ['shape' => 'shape', 'cleanness' => 'how clean', 'speaks_for' => 'what speaks for it', 'speaks_against' => 'what speaks against it', 'conviction' => 'conviction', 'wrong_if' => 'what would prove it wrong', 'wrong_at' => 'where it is wrong'];

    /** @param array<string, int|string|null> $columns */
    public function __invoke(Candidate $candidate, array $columns): void
    {
        $label = implode(', ', array_intersect_key(self::WORDS, $columns));
        PlanHistory::change($candidate->plan, "{$label} of {$candidate->instrument->symbol}", $candidate->instrument_id, static fn () => $candidate->update($columns));
    }
}
