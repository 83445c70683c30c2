<?php

declare(strict_types=1);

namespace App\Actions;

use App\Levels\LevelLog;
use App\Levels\LevelWords;
use App\Models\Candidate;
use App\Models\Level;
use App\Planning\PlanHistory;

final readonly class DeleteLevel
{
    public function __construct(private LevelLog $log)
    {
    }

    public function __invoke(Candidate $candidate, Level $level): void
    {
        $label = 'delete level '.LevelWords::of($level, $candidate->instrument->grid())." on {$candidate->instrument->symbol}";
        PlanHistory::change($candidate->plan, $label, $level->instrument_id, function () use ($level): void {
            $level->delete();
            $this->log->write($level->id, 'deleted');
        });
    }
}
