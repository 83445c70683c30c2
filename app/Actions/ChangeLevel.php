<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\LevelGrade;
use App\Models\Candidate;
use App\Models\Level;
use App\Planning\PlanHistory;
use Illuminate\Validation\ValidationException;

/** Moves a level, names its origin or gives it another grade. */
final class ChangeLevel
{
    public function __invoke(Candidate $candidate, Level $level, int $price, string $origin, LevelGrade $grade): void
    {
        $grid = $candidate->instrument->grid();
        if ($candidate->plan->levelsOn($level->instrument_id)->where('price', $price)->whereKeyNot($level->id)->exists()) {
            throw ValidationException::withMessages(['price' => "There is a level at {$grid->format($price)} already."]);
        }
        $label = $price === $level->price
            ? "change of level {$grid->format($price)} on {$candidate->instrument->symbol}"
            : "move of level {$grid->format($level->price)} to {$grid->format($price)} on {$candidate->instrument->symbol}";
        PlanHistory::change($candidate->plan, $label, $level->instrument_id, static fn () => $level->update([
            'price' => $price,
            'origin' => trim($origin) === '' ? MarkLevel::OWN_READING : trim($origin),
            'grade' => $grade,
        ]));
    }
}
