<?php

declare(strict_types=1);

namespace Watchpost\Core\Statistics;

use Watchpost\Core\Indicators\AverageOrder;
use Watchpost\Core\Indicators\Rsi;
use Watchpost\Core\Indicators\SortedWindow;
use Watchpost\Core\Indicators\Stack;

/** How often an instrument closed higher two sessions later, from days in the state in which it is now. */
final readonly class TwoSessionOdds
{
    public const TOO_FEW = 20;
    private const AHEAD = 2;
    private const RANGE = 20;
    private const RSI = 14;
    private const RSI_MEMORY = 250;

    /**
     * @param Stack         $order        of the close and its averages
     * @param int           $placeInRange of the close in its 20-session range: 0 lower, 1 middle, 2 upper third
     * @param int           $rsiThird     of the RSI(14) among its last 250 values, likewise
     * @param Interval|null $inState      of past sessions in this state; null when there was none
     * @param Interval      $always       of all past sessions
     */
    private function __construct(public Stack $order, public int $placeInRange, public int $rsiThird, public ?Interval $inState, public Interval $always)
    {
    }

    /**
     * The state of the last session, and what followed earlier sessions in it: the share that closed higher two
     * sessions later. Only sessions whose outcome was known by the last one count.
     *
     * Unit: shares, 0 to 1. Source: computations.md, Levels (two-session odds).
     *
     * @param list<float>            $high
     * @param list<float>            $low
     * @param list<float>            $close
     * @param list<list<float|null>> $averages from the fastest to the slowest, each as long as $close
     *
     * @return self|null null while the state is undefined
     */
    public static function of(array $high, array $low, array $close, array $averages): ?self
    {
        $orders = AverageOrder::of($close, $averages);
        $thirds = self::rsiThirds(Rsi::of($close, self::RSI));
        $last = count($close) - 1;
        $state = fn (int $i): ?array => $orders[$i] === null || $thirds[$i] === null || $i < self::RANGE - 1 ? null : [$orders[$i], self::place($high, $low, $close[$i], $i), $thirds[$i]];
        $now = $last < 0 ? null : $state($last);
        if ($now === null) {
            return null;
        }
        $hits = $cases = $allHits = $all = 0;
        for ($i = 0; $i <= $last - self::AHEAD; ++$i) {
            $rose = $close[$i + self::AHEAD] > $close[$i] ? 1 : 0;
            ++$all;
            $allHits += $rose;
            if ($state($i) === $now) {
                ++$cases;
                $hits += $rose;
            }
        }
        $always = Interval::wilson($allHits, $all);

        return $always === null ? null : new self($now[0], $now[1], $now[2], Interval::wilson($hits, $cases), $always);
    }

    public function isTooFew(): bool
    {
        return $this->inState === null || $this->inState->cases < self::TOO_FEW;
    }

    /**
     * @param list<float> $high
     * @param list<float> $low
     */
    private static function place(array $high, array $low, float $close, int $i): int
    {
        $top = $bottom = $close;
        for ($j = $i - self::RANGE + 1; $j <= $i; ++$j) {
            $top = $high[$j] > $top ? $high[$j] : $top;
            $bottom = $low[$j] < $bottom ? $low[$j] : $bottom;
        }
        $share = $top > $bottom ? ($close - $bottom) / ($top - $bottom) : 0.5;

        return $share < 1 / 3 ? 0 : ($share <= 2 / 3 ? 1 : 2);
    }

    /**
     * @param list<float|null> $rsi
     *
     * @return list<int|null> 0, 1 or 2; null until 250 values are there
     */
    private static function rsiThirds(array $rsi): array
    {
        $memory = new SortedWindow(self::RSI_MEMORY);
        $out = [];
        foreach ($rsi as $value) {
            if ($value !== null) {
                $memory->push($value);
            }
            $out[] = $value === null || ! $memory->isFull() ? null : match (true) {
                $value < $memory->quantile(1 / 3) => 0,
                $value <= $memory->quantile(2 / 3) => 1,
                default => 2,
            };
        }

        return $out;
    }
}
