<?php

declare(strict_types=1);

namespace App\Data;

/** How the levels of an author did, all of them and by kind. */
final readonly class LevelHistoryData
{
    /**
     * @param list<LevelTallyData> $byOrigin
     * @param list<LevelTallyData> $byGrade
     * @param list<LevelTallyData> $byTimeFrame
     * @param list<LevelDidData>   $levels      the latest first
     */
    public function __construct(public LevelTallyData $all, public array $byOrigin, public array $byGrade, public array $byTimeFrame, public array $levels)
    {
    }
}
