<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\LevelGrade;
use App\Models\Candidate;
use App\Models\Level;
use App\Planning\PlanHistory;
use Illuminate\Validation\ValidationException;

/** Marks a level on the instrument of a candidate. */
final class MarkLevel
{
    public const OWN_READING = 'own reading';

    /** @param int $price in units, on the tick */
    public function __invoke(Candidate $candidate, int $price, string $origin = self::OWN_READING, LevelGrade $grade = LevelGrade::Minor): Level
    {
        $plan = $candidate->plan;
        $written = $candidate->instrument->grid()->format($price);
        if ($plan->levelsOn($candidate->instrument_id)->where('price', $price)->exists()) {
            throw ValidationException::withMessages(['price' => "There is a level at {$written} already."]);
        }

        return PlanHistory::change(
            $plan,
            "mark {$written} on {$candidate->instrument->symbol}",
            $candidate->instrument_id,
            static fn (): Level => Level::query()->create([
                'author_id' => $plan->author_id,
                'instrument_id' => $candidate->instrument_id,
                'price' => $price,
                'origin' => $origin,
                'grade' => $grade,
            ]),
        );
    }
}
