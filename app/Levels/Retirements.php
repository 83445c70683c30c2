<?php

declare(strict_types=1);

namespace App\Levels;

use App\Clock\MarketClock;
use App\Market\BarRepository;
use App\Market\Calendars;
use App\Models\Instrument;
use App\Models\Level;
use App\Models\User;
use App\Reading\Limits;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Levels\RetirementReason;

/** Lays aside, when the market has moved on, the levels that no longer matter; the author can take each back. */
final readonly class Retirements
{
    public function __construct(private BarRepository $bars, private LevelReader $reader, private LevelLog $log, private MarketClock $clock, private Calendars $calendars)
    {
    }

    /** Only between sessions: a close under way decides nothing. */
    public function apply(): void
    {
        if ($this->calendars->home()->running($this->clock->moment()) !== null) {
            return;
        }
        foreach (Level::query()->alive()->where('kept', false)->get()->groupBy('author_id') as $authorId => $levels) {
            $limits = Limits::of(User::query()->findOrFail($authorId));
            foreach ($levels->groupBy('instrument_id') as $instrumentId => $ofInstrument) {
                $series = $this->bars->days(Instrument::query()->findOrFail($instrumentId), LevelReader::DAYS);
                if ($series->count() > 0) {
                    $input = new LevelInput($series);
                    foreach ($ofInstrument as $level) {
                        $this->consider($level, $input, $limits);
                    }
                }
            }
        }
    }

    private function consider(Level $level, LevelInput $input, Limits $limits): void
    {
        $readings = $this->reader->read($level, $input);
        $reasons = array_map(fn (LevelReading $reading): ?RetirementReason => $this->isFilledGap($reading, $input) ? RetirementReason::Filled : $limits->retirement()->reason($input, $reading->band, $reading->since, LevelReader::firstAfter($level, $input) - 1), $readings);
        // a set of rungs goes when all of them do
        if ($reasons === [] || in_array(null, $reasons, true)) {
            return;
        }
        $because = match ($reasons[0]) {
            RetirementReason::Broken => "broken {$limits->brokenFor} sessions ago or more",
            RetirementReason::Far => "{$limits->farAt} ATR away or more for {$limits->farFor} sessions",
            RetirementReason::Filled => 'its gap is filled',
        };
        $level->update(['retired_at' => $this->clock->moment(), 'retired_because' => $because]);
        $this->log->write($level->id, "laid aside by itself: {$because}", LevelLog::ITSELF);
    }

    /** Whether price has traded at the far edge of a gap that was taken over (edge-cases.md, T49). */
    private function isFilledGap(LevelReading $reading, LevelInput $input): bool
    {
        $level = $reading->level;
        $series = $input->series;
        $from = LevelReader::firstAfter($level, $input);

        return match (true) {
            str_starts_with($level->origin, 'gap up') => min([PHP_INT_MAX, ...array_slice($series->low, $from)]) <= $level->lowEdge(),
            str_starts_with($level->origin, 'gap down') => max([0, ...array_slice($series->high, $from)]) >= $level->highEdge(),
            default => false,
        };
    }
}
