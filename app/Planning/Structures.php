<?php

declare(strict_types=1);

namespace App\Planning;

use App\Levels\LevelReader;
use App\Market\BarRepository;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use Watchpost\Core\Levels\LevelInput;

/** Reads the structure around a candidate's price. */
final readonly class Structures
{
    public function __construct(private BarRepository $bars, private ChartBuilder $charts, private LevelReader $levels)
    {
    }

    public function of(Candidate $candidate): Structure
    {
        $days = $this->bars->days($candidate->instrument, LevelReader::DAYS);
        $levels = $days->count() === 0 ? [] : $this->levels->readAll($candidate->plan->levelsOn($candidate->instrument_id)->alive()->orderBy('id')->get(), new LevelInput($days));

        return new Structure($days, $levels, $this->charts->atr($days));
    }
}
