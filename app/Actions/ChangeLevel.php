<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\LevelForm;
use App\Levels\LevelLog;
use App\Levels\LevelWords;
use App\Models\Candidate;
use App\Models\Level;
use App\Planning\PlanHistory;
use Illuminate\Validation\ValidationException;

/** Moves a level, pulls its edges, names it, gives it another grade, or turns it into another form. */
final readonly class ChangeLevel
{
    public function __construct(private LevelLog $log)
    {
    }

    /** @param array<string, mixed> $changes columns of a level */
    public function __invoke(Candidate $candidate, Level $level, array $changes): void
    {
        $grid = $candidate->instrument->grid();
        $before = LevelWords::of($level, $grid);
        $was = $level->replicate();
        $level->fill($changes);
        $after = LevelWords::of($level, $grid);
        if ($level->form === LevelForm::Price && $before !== $after && $candidate->plan->levelsOn($level->instrument_id)->where('form', LevelForm::Price)->where('price', $level->price)->whereKeyNot($level->id)->exists()) {
            throw ValidationException::withMessages(['price' => "There is a level at {$after} already."]);
        }
        $told = array_filter([
            $before === $after ? null : "moved from {$before} to {$after}",
            $was->origin === $level->origin ? null : "named \"{$level->origin}\", before \"{$was->origin}\"",
            $was->grade === $level->grade ? null : "now {$level->grade->value}",
            $was->time_frame === $level->time_frame ? null : "seen on {$level->time_frame->value}, before on {$was->time_frame->value}",
            $was->note === $level->note ? null : ($level->note === '' ? 'note taken away' : "note: {$level->note}"),
        ]);
        $label = $before === $after ? "change of level {$after} on {$candidate->instrument->symbol}" : "move of level {$before} to {$after} on {$candidate->instrument->symbol}";
        PlanHistory::change($candidate->plan, $label, $level->instrument_id, function () use ($level, $told): void {
            $level->save();
            foreach ($told as $what) {
                $this->log->write($level->id, $what);
            }
        });
    }
}
