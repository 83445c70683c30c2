<?php

declare(strict_types=1);

namespace Watchpost\Core\Tests\Levels;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Watchpost\Core\Levels\LevelInput;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;

/** Made series for tests of levels: day bars on a grid of two decimals. */
final class Bars
{
    /**
     * Bars on consecutive weekdays from Monday 6 January 2025.
     *
     * @param list<array{int, int, int, int, 4?: int}> $bars open, high, low, close and perhaps volume
     */
    public static function series(array $bars, int $tick = 1): Series
    {
        $dates = self::dates(count($bars));

        return new Series(
            new PriceGrid(2, $tick),
            TimeFrame::Day,
            array_map(static fn (string $date): int => (int) strtotime("{$date}T13:30:00Z"), $dates),
            $dates,
            array_column($bars, 0),
            array_column($bars, 1),
            array_column($bars, 2),
            array_column($bars, 3),
            array_map(static fn (array $bar): int => $bar[4] ?? 1_000, $bars),
        );
    }

    /** @param list<array{int, int, int, int, 4?: int}> $bars */
    public static function input(array $bars, ?string $asOf = null): LevelInput
    {
        return new LevelInput(self::series($bars), $asOf);
    }

    /** @return list<string> */
    public static function dates(int $count): array
    {
        $dates = [];
        for ($day = new \DateTimeImmutable('2025-01-06'); count($dates) < $count; $day = $day->modify('+1 day')) {
            if ((int) $day->format('N') < 6) {
                $dates[] = $day->format('Y-m-d');
            }
        }

        return $dates;
    }

    /**
     * Bars with these closes, each open at the close before and a little wider than both.
     *
     * @param list<int> $closes
     *
     * @return list<array{int, int, int, int}>
     */
    public static function through(array $closes, int $air = 10): array
    {
        $bars = [];
        foreach ($closes as $i => $close) {
            $open = $closes[$i - 1] ?? $close;
            $bars[] = [$open, max($open, $close) + $air, min($open, $close) - $air, $close];
        }

        return $bars;
    }

    /**
     * A walk between barriers: each bar moves at random; a bar that would go beyond a barrier turns there three times in
     * four, at the first and the last barrier always, a little before or beyond it. Nothing draws price to a barrier.
     *
     * @param list<int> $barriers in units; none for a plain random walk
     *
     * @return list<array{int, int, int, int}>
     */
    public static function walk(int $seed, int $count, array $barriers = [], int $start = 10_000, int $step = 120): array
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $noise = static fn (int $size): int => $random->getInt(-$size, $size);
        $bars = [];
        $close = $start;
        for ($i = 0; $i < $count; ++$i) {
            $open = $close;
            $wanted = $open + $noise($step) + $noise($step);
            $low = min($open, $wanted) - $random->getInt(5, 40);
            $high = max($open, $wanted) + $random->getInt(5, 40);
            foreach ($barriers as $place => $barrier) {
                $isOuter = $place === 0 || $place === count($barriers) - 1;
                $isMet = ($open < $barrier && $high >= $barrier) || ($open > $barrier && $low <= $barrier);
                if ($isMet && ($isOuter || $random->getInt(1, 4) > 1)) {
                    $fromBelow = $open < $barrier;
                    $turn = $barrier + $noise(12);
                    $back = $random->getInt(60, 180);
                    $wanted = $fromBelow ? $barrier - $back : $barrier + $back;
                    $high = $fromBelow ? max($turn, $open, $wanted) : max($open, $wanted) + 10;
                    $low = $fromBelow ? min($open, $wanted) - 10 : min($turn, $open, $wanted);
                    break;
                }
            }
            $close = max(500, $wanted);
            $bars[] = [$open, max($high, $open, $close), max(400, min($low, $open, $close)), $close];
        }

        return $bars;
    }
}
