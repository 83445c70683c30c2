<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Market\Bar;

/** Pivot points of the previous session, week and month. */
final readonly class PivotFinder implements LevelFinder
{
    private const PERIODS = ['session', 'week', 'month'];
    private const FIBONACCI = [1 => 0.382, 2 => 0.618, 3 => 1.0];

    public function kinds(): array
    {
        return [LevelKind::Pivot];
    }

    /**
     * P = (H + L + C) / 3; R1 = 2P - L, S1 = 2P - H; R2 = P + (H - L), S2 = P - (H - L); R3 = H + 2(P - L),
     * S3 = L - 2(H - P); the Fibonacci variant P +- 0.382, 0.618, 1.0 x (H - L). On the tick; what would not lie above
     * 0 is left out.
     *
     * Unit: units of the grid. Source: computations.md, Levels 4.
     */
    public function find(LevelInput $input): array
    {
        $levels = [];
        foreach ((new Periods($input->series, $input->asOf))->byName as $name => ['previous' => $previous]) {
            if ($previous !== null && in_array($name, self::PERIODS, true)) {
                array_push($levels, ...$this->points($previous, $name, $input));
            }
        }

        return $levels;
    }

    /** @return list<FoundLevel> */
    private function points(Bar $bar, string $name, LevelInput $input): array
    {
        $pivot = ($bar->high + $bar->low + $bar->close) / 3;
        $range = $bar->high - $bar->low;
        $points = [
            'P' => $pivot,
            'R1' => 2 * $pivot - $bar->low,
            'S1' => 2 * $pivot - $bar->high,
            'R2' => $pivot + $range,
            'S2' => $pivot - $range,
            'R3' => $bar->high + 2 * ($pivot - $bar->low),
            'S3' => $bar->low - 2 * ($bar->high - $pivot),
        ];
        foreach (self::FIBONACCI as $n => $share) {
            $points["Fibonacci R{$n}"] = $pivot + $share * $range;
            $points["Fibonacci S{$n}"] = $pivot - $share * $range;
        }
        $levels = [];
        foreach ($points as $label => $price) {
            if ($price > 0.0) {
                $levels[] = FoundLevel::at(LevelKind::Pivot, $input->tick($price), Grade::Minor, 1.0, "{$label} of the previous {$name} ({$bar->session})");
            }
        }

        return $levels;
    }
}
