<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** Gaps between two bars, and how far they are filled. */
final readonly class GapFinder implements LevelFinder
{
    private const LEAST = 0.25;

    public function kinds(): array
    {
        return [LevelKind::Gap];
    }

    /**
     * A gap up: a low above the high before, by at least 0.25 ATR (that of the bar before); down mirrored. Filled when
     * price trades at the far edge, inclusive; partly filled by how far it went in. Price = the far edge.
     *
     * Unit: units of the grid; filled 0 to 1. Source: computations.md, Levels 3; edge-cases.md, T49.
     */
    public function find(LevelInput $input): array
    {
        $series = $input->series;
        $gaps = [];
        for ($i = 1; $i <= $input->last; ++$i) {
            $range = $input->atr[$i - 1];
            $up = $series->low[$i] - $series->high[$i - 1];
            $down = $series->low[$i - 1] - $series->high[$i];
            if ($range !== null && max($up, $down) > 0 && max($up, $down) >= self::LEAST * $range) {
                $gaps[] = $this->gap($input, $i, $up > 0);
            }
        }

        return $gaps;
    }

    private function gap(LevelInput $input, int $i, bool $isUp): FoundLevel
    {
        $series = $input->series;
        $low = $isUp ? $series->high[$i - 1] : $series->high[$i];
        $high = $isUp ? $series->low[$i] : $series->low[$i - 1];
        $filled = 0.0;
        $filledOn = null;
        for ($j = $i + 1; $j <= $input->last && $filledOn === null; ++$j) {
            $in = $isUp ? $high - $series->low[$j] : $series->high[$j] - $low;
            $filled = max($filled, min(1.0, $in / ($high - $low)));
            $filledOn = $filled >= 1.0 ? $series->session[$j] : null;
        }
        $state = $filledOn !== null ? 'filled' : ($filled > 0.0 ? 'partly filled' : 'open');
        $words = match ($state) {
            'filled' => "filled on {$filledOn}",
            'partly filled' => 'filled to '.round($filled * 100).' %',
            default => 'open',
        };

        return new FoundLevel(
            LevelKind::Gap,
            $low,
            $isUp ? $low : $high,
            $high,
            Grade::Minor,
            ($high - $low) / $input->range,
            'gap '.($isUp ? 'up' : 'down')." of {$series->session[$i]}, {$words}",
            [],
            ['state' => $state, 'filled' => round($filled, 4), 'filled_on' => $filledOn, 'session' => $series->session[$i]],
        );
    }
}
