<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Indicators\Cloud;
use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Indicators\Vwap;

/** Averages, VWAP and cloud edges with their value at the last bar. */
final readonly class MovingFinder implements LevelFinder
{
    /** @param list<array{string, int}> $averages "sma" or "ema", and the period */
    public function __construct(private array $averages = [['ema', 10], ['sma', 20], ['sma', 50], ['sma', 200]])
    {
    }

    public function kinds(): array
    {
        return [LevelKind::Average];
    }

    /**
     * Each where it is defined; VWAP only within sessions. On the tick.
     *
     * Unit: units of the grid. Source: computations.md, Levels 7; edge-cases.md, T52.
     */
    public function find(LevelInput $input): array
    {
        $values = [];
        foreach ($this->averages as [$kind, $period]) {
            $column = $kind === 'ema' ? Ema::of($input->closes, $period) : Sma::of($input->closes, $period);
            $values[strtoupper($kind).' '.$period] = $column[$input->last];
        }
        $cloud = Cloud::of($input->highs, $input->lows, $input->closes, 9, 26, 52);
        $values['cloud edge A'] = $cloud['leading_a'][$input->last];
        $values['cloud edge B'] = $cloud['leading_b'][$input->last];
        if ($input->series->timeFrame->seconds() !== null) {
            $vwap = Vwap::of($input->highs, $input->lows, $input->closes, $input->volumes, $input->series->session, 1.0);
            $values['VWAP of the session'] = $vwap['vwap'][$input->last];
        }
        $levels = [];
        foreach ($values as $name => $value) {
            if ($value !== null) {
                $levels[] = FoundLevel::at(LevelKind::Average, $input->tick($value), Grade::Minor, 1.0, $name);
            }
        }

        return $levels;
    }
}
