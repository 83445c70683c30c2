<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** Retracements and projections of the dominant swing. */
final readonly class SwingRatioFinder implements LevelFinder
{
    private const BARS = 120;
    private const RETRACEMENTS = [23.6, 38.2, 50.0, 61.8, 78.6];
    private const PROJECTIONS = [127.2, 161.8, 200.0];

    public function kinds(): array
    {
        return [LevelKind::Retracement, LevelKind::Projection];
    }

    /**
     * The dominant swing is the largest move between prominent swings of the last 120 bars, from a low to a later high or
     * the mirror, that is not wholly retraced. Retracement p % = end - p x (end - start); projection p % = start + p x
     * (end - start). Once price has gone beyond the end, only projections are offered. On the tick.
     *
     * Unit: units of the grid. Source: computations.md, Levels 5; edge-cases.md, T53.
     */
    public function find(LevelInput $input): array
    {
        $move = $this->dominant($input);

        return $move === null ? [] : self::levels($input, $move[0], $move[1]);
    }

    /**
     * The levels of a move between two swings, found or picked.
     *
     * @return list<FoundLevel>
     */
    public static function levels(LevelInput $input, Swing $start, Swing $end): array
    {
        $move = $end->price - $start->price;
        $from = "{$input->series->session[$start->index]} to {$input->series->session[$end->index]}";
        $isBeyond = false;
        for ($i = $end->index + 1; $i <= $input->last; ++$i) {
            $isBeyond = $isBeyond || ($move > 0 ? $input->highs[$i] > $end->price : $input->lows[$i] < $end->price);
        }
        $levels = [];
        foreach ($isBeyond ? [] : self::RETRACEMENTS as $percent) {
            $levels[] = FoundLevel::at(LevelKind::Retracement, $input->tick($end->price - $percent / 100 * $move), Grade::Minor, 1.0, "{$percent} % back of the move {$from}");
        }
        foreach (self::PROJECTIONS as $percent) {
            $price = $start->price + $percent / 100 * $move;
            if ($price > 0.0) {
                $levels[] = FoundLevel::at(LevelKind::Projection, $input->tick($price), Grade::Minor, 1.0, "{$percent} % of the move {$from}");
            }
        }

        return $levels;
    }

    /** @return array{Swing, Swing}|null */
    private function dominant(LevelInput $input): ?array
    {
        $swings = array_values(array_filter(
            Swings::prominent($input->highs, $input->lows, $input->atr),
            static fn (Swing $swing): bool => $input->last - $swing->index < self::BARS,
        ));
        $best = null;
        $size = 0.0;
        foreach ($swings as $start) {
            foreach ($swings as $end) {
                $move = abs($end->price - $start->price);
                $isMove = $end->index > $start->index && $start->isHigh !== $end->isHigh && ($end->price > $start->price) === $end->isHigh;
                if ($isMove && $move > $size && ! $this->isRetraced($input, $start, $end)) {
                    $best = [$start, $end];
                    $size = $move;
                }
            }
        }

        return $best;
    }

    private function isRetraced(LevelInput $input, Swing $start, Swing $end): bool
    {
        for ($i = $end->index + 1; $i <= $input->last; ++$i) {
            if ($end->isHigh ? $input->lows[$i] <= $start->price : $input->highs[$i] >= $start->price) {
                return true;
            }
        }

        return false;
    }
}
