<?php

declare(strict_types=1);

namespace App\Levels;

use App\Clock\TimeLabel;
use App\Data\LevelDidData;
use App\Data\LevelHistoryData;
use App\Data\LevelTallyData;
use App\Market\BarRepository;
use App\Models\Instrument;
use App\Models\Level;
use App\Models\User;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Levels\ReactionTally;

/** How the levels of an author did: each by the same rule, then counted by where they came from, grade and time frame. */
final readonly class LevelHistoryPresenter
{
    public function __construct(private BarRepository $bars, private LevelReader $reader, private LevelSheetPresenter $sheets, private TimeLabel $times)
    {
    }

    public function of(User $author): LevelHistoryData
    {
        $readings = [];
        foreach (Level::query()->where('author_id', $author->id)->orderByDesc('marked_at')->orderByDesc('id')->get()->groupBy('instrument_id') as $instrumentId => $levels) {
            $series = $this->bars->days(Instrument::query()->findOrFail($instrumentId), LevelReader::DAYS);
            if ($series->count() === 0) {
                continue;
            }
            // of a set of rungs each is a level of its own
            array_push($readings, ...$this->reader->readAll($levels, new LevelInput($series)));
        }
        usort($readings, static fn (LevelReading $a, LevelReading $b): int => [$b->level->marked_at, $b->level->id] <=> [$a->level->marked_at, $a->level->id]);

        return new LevelHistoryData(
            $this->tally('all', $readings),
            $this->by($readings, static fn (LevelReading $reading): string => LevelWords::kindOf($reading->label)),
            $this->by($readings, static fn (LevelReading $reading): string => $reading->level->grade->value),
            $this->by($readings, static fn (LevelReading $reading): string => $reading->level->time_frame->value),
            $this->levels($readings),
        );
    }

    /**
     * @param list<LevelReading>             $readings
     * @param callable(LevelReading): string $kind
     *
     * @return list<LevelTallyData> the most frequent first
     */
    private function by(array $readings, callable $kind): array
    {
        $groups = [];
        foreach ($readings as $reading) {
            $groups[$kind($reading)][] = $reading;
        }
        $tallies = [];
        foreach ($groups as $name => $group) {
            $tallies[] = $this->tally((string) $name, $group);
        }
        usort($tallies, static fn (LevelTallyData $a, LevelTallyData $b): int => [$b->all, $a->name] <=> [$a->all, $b->name]);

        return $tallies;
    }

    /** @param list<LevelReading> $readings */
    private function tally(string $name, array $readings): LevelTallyData
    {
        $tally = ReactionTally::of(array_map(static fn (LevelReading $reading) => $reading->reaction, $readings));

        return new LevelTallyData($name, $tally->all(), $tally->untouched, $tally->undecided, $tally->held, $tally->broke, $tally->rate?->share, $tally->rate?->low, $tally->rate?->high, $tally->turn);
    }

    /**
     * @param list<LevelReading> $readings
     *
     * @return list<LevelDidData>
     */
    private function levels(array $readings): array
    {
        $instruments = Instrument::query()->whereKey(array_unique(array_map(static fn (LevelReading $reading): int => $reading->level->instrument_id, $readings)))->get()->keyBy('id');
        $rows = [];
        foreach ($readings as $reading) {
            $level = $reading->level;
            $instrument = $instruments->get($level->instrument_id);
            if ($instrument !== null) {
                $rows[] = new LevelDidData(
                    $level->id,
                    $instrument->symbol,
                    LevelWords::of($level, $instrument->grid()),
                    $reading->label,
                    $level->grade,
                    $level->time_frame,
                    $level->marked_on === '' ? '' : $this->times->shortDate($level->marked_on),
                    $level->marked_on,
                    $reading->standing,
                    $reading->reaction->kind,
                    $this->sheets->words($reading->reaction, $instrument->grid()),
                );
            }
        }

        return $rows;
    }
}
