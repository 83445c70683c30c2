<?php

declare(strict_types=1);

namespace App\Actions;

use App\Clock\MarketClock;
use App\Enums\LevelForm;
use App\Levels\LevelLog;
use App\Levels\LevelReader;
use App\Levels\LevelWords;
use App\Levels\NewLevel;
use App\Market\BarRepository;
use App\Models\Candidate;
use App\Models\Level;
use App\Planning\PlanHistory;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Levels\LevelInput;

/** Marks a level on the instrument of a candidate. */
final readonly class MarkLevel
{
    private const SINGLE = [LevelForm::Price, LevelForm::Mark];

    public function __construct(private BarRepository $bars, private MarketClock $clock, private LevelLog $log, private LevelReader $reader)
    {
    }

    public function __invoke(Candidate $candidate, NewLevel $new): Level
    {
        $plan = $candidate->plan;
        $level = new Level(['author_id' => $plan->author_id, 'instrument_id' => $candidate->instrument_id, ...$new->toArray()]);
        $written = LevelWords::of($level, $candidate->instrument->grid());
        $this->refuseDouble($candidate, $level, $written);
        $series = $this->bars->days($candidate->instrument, LevelReader::DAYS);
        $level->marked_on = $series->session[$series->count() - 1] ?? '';
        if ($level->form->moves()) {
            $reading = $series->count() === 0 ? null : $this->reader->read($level, new LevelInput($series))[0] ?? null;
            $level->price = $reading->low ?? throw ValidationException::withMessages([$level->form === LevelForm::Average ? 'period' : 'to.price' => $level->form === LevelForm::Average ? "There are too few bars for {$written}." : 'This line has no price above 0 in the next session.']);
        }
        $level->marked_at = $this->clock->moment();

        return PlanHistory::change($plan, "mark {$written} on {$candidate->instrument->symbol}", $candidate->instrument_id, function () use ($level, $written): Level {
            $level->save();
            $this->log->write($level->id, "marked: {$written}, {$level->origin}");

            return $level;
        });
    }

    /** Two levels at one price say nothing more than one. */
    private function refuseDouble(Candidate $candidate, Level $level, string $written): void
    {
        if (! in_array($level->form, self::SINGLE, true)) {
            return;
        }
        $same = $candidate->plan->levelsOn($candidate->instrument_id)->whereIn('form', self::SINGLE)->where('price', $level->price)->first();
        if ($same !== null) {
            throw ValidationException::withMessages(['price' => $same->isRetired() ? "A level at {$written} is laid aside: restore it instead." : "There is a level at {$written} already."]);
        }
    }
}
