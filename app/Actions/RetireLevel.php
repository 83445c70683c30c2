<?php

declare(strict_types=1);

namespace App\Actions;

use App\Clock\MarketClock;
use App\Levels\LevelLog;
use App\Levels\LevelWords;
use App\Models\Candidate;
use App\Models\Level;
use App\Planning\PlanHistory;

/** Lays a level aside, or takes it back: it stays in the history of levels either way. */
final readonly class RetireLevel
{
    public const BY_HAND = 'laid aside by the author';

    public function __construct(private MarketClock $clock, private LevelLog $log)
    {
    }

    public function __invoke(Candidate $candidate, Level $level): void
    {
        $this->change($candidate, $level, 'lay aside', ['retired_at' => $this->clock->moment(), 'retired_because' => self::BY_HAND], self::BY_HAND);
    }

    /** One that is taken back does not retire by itself again. */
    public function restore(Candidate $candidate, Level $level): void
    {
        $this->change($candidate, $level, 'restore', ['retired_at' => null, 'retired_because' => '', 'kept' => true], 'restored');
    }

    /** @param array<string, mixed> $columns */
    private function change(Candidate $candidate, Level $level, string $verb, array $columns, string $told): void
    {
        $label = "{$verb} level ".LevelWords::of($level, $candidate->instrument->grid())." on {$candidate->instrument->symbol}";
        PlanHistory::change($candidate->plan, $label, $level->instrument_id, function () use ($level, $columns, $told): void {
            $level->update($columns);
            $this->log->write($level->id, $told);
        });
    }
}
