<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

use Watchpost\Core\Levels\Swings;

/** Price and its momentum going apart at two swings in a row. */
final class Divergence
{
    /**
     * bearish: on the bar on which a swing high becomes known that is above the swing high before, while the RSI at it is
     * below the RSI at that one. bullish: the mirror at swing lows. False elsewhere.
     *
     * Source: computations.md, Indicators (divergence) and Swings.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return array{bearish: list<bool>, bullish: list<bool>}
     */
    public static function of(array $high, array $low, array $close, int $rsiPeriod = 14, int $reach = Swings::REACH): array
    {
        $rsi = Rsi::of($close, $rsiPeriod);
        $out = ['bearish' => array_fill(0, count($close), false), 'bullish' => array_fill(0, count($close), false)];
        $before = ['bearish' => null, 'bullish' => null];
        foreach (Swings::of($high, $low, $reach) as $swing) {
            $kind = $swing->isHigh ? 'bearish' : 'bullish';
            $way = $swing->isHigh ? 1 : -1;
            $last = $before[$kind];
            $before[$kind] = $swing;
            if ($last === null || $rsi[$last->index] === null || $rsi[$swing->index] === null) {
                continue;
            }
            $further = ($swing->price <=> $last->price) === $way;
            $weaker = ($rsi[$swing->index] <=> $rsi[$last->index]) === -$way;
            $out[$kind][$swing->knownAt] = $further && $weaker;
        }

        return ['bearish' => array_values($out['bearish']), 'bullish' => array_values($out['bullish'])];
    }
}
