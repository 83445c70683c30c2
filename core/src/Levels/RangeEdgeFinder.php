<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Indicators\ExpectedRange;
use Watchpost\Core\Market\TimeFrame;

/** The edges of the range expected of the next session. */
final readonly class RangeEdgeFinder implements LevelFinder
{
    private const SESSIONS = 250;

    public function kinds(): array
    {
        return [LevelKind::ExpectedRange];
    }

    /**
     * From day bars alone, with how often such edges held. On the tick.
     *
     * Unit: units of the grid; shares 0 to 1. Source: computations.md, Levels 9.
     */
    public function find(LevelInput $input): array
    {
        if ($input->series->timeFrame !== TimeFrame::Day) {
            return [];
        }
        $range = ExpectedRange::of($input->highs, $input->lows, $input->closes, self::SESSIONS);
        $levels = [];
        foreach (['high' => 'upper', 'low' => 'lower'] as $edge => $name) {
            $price = $range[$edge][$input->last];
            $held = $range["held_{$edge}"][$input->last];
            if ($price === null || $price <= 0.0) {
                continue;
            }
            $at = $input->tick($price);
            $words = $held === null ? 'how often such edges held is not known yet' : 'such edges held on '.round($held * 100).' % of '.self::SESSIONS.' evenings';
            $levels[] = new FoundLevel(LevelKind::ExpectedRange, $at, $at, $at, Grade::Minor, $held ?? 0.0, "{$name} edge of the expected range; {$words}", [], ['held' => $held === null ? null : round($held, 4)]);
        }

        return $levels;
    }
}
