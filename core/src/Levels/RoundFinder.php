<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** Round numbers. */
final readonly class RoundFinder implements LevelFinder
{
    private const STEPS = [1.0, 2.5, 5.0];
    private const REACH = 8.0;
    private const LEAST = 2.0;
    private const MOST = 10.0;

    public function kinds(): array
    {
        return [LevelKind::Round];
    }

    /**
     * Multiples of 1, 2.5 or 5 x 10^k, the smallest of these steps that measures 2 to 10 ATR, within 8 ATR of price. On
     * the tick.
     *
     * Unit: units of the grid. Source: computations.md, Levels 8.
     */
    public function find(LevelInput $input): array
    {
        $step = $this->step($input->range);
        if ($step === null) {
            return [];
        }
        $levels = [];
        for ($n = (int) ceil(($input->close - self::REACH * $input->range) / $step); $n * $step <= $input->close + self::REACH * $input->range; ++$n) {
            $price = $n * $step;
            if ($price > 0.0 && abs($price - $input->tick($price)) < 1e-6) {
                $levels[] = FoundLevel::at(LevelKind::Round, $input->tick($price), Grade::Minor, 1.0, 'round number');
            }
        }

        return $levels;
    }

    /** In units; null when none of the steps fits. */
    private function step(float $range): ?float
    {
        for ($k = -1; $k <= 15; ++$k) {
            foreach (self::STEPS as $step) {
                $units = $step * 10 ** $k;
                if ($units >= self::LEAST * $range && $units <= self::MOST * $range) {
                    return $units;
                }
            }
        }

        return null;
    }
}
