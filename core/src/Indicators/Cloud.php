<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** The cloud: middles of three ranges, two of them drawn ahead. */
final class Cloud
{
    /**
     * middle(n) = (highest high + lowest low) / 2 over n bars; conversion = middle(short), base = middle(medium);
     * at bar i, leading_a = (conversion + base) / 2 and leading_b = middle(long) as they were `medium` bars before;
     * lagging = the close, to be drawn `medium` bars back: its value stands at the bar on which it became known, so
     * that no bar knows a later one.
     *
     * Unit: that of the prices. Source: computations.md, Indicators.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return array{conversion: list<float|null>, base: list<float|null>, leading_a: list<float|null>, leading_b: list<float|null>, lagging: list<float|null>}
     *
     * @throws \InvalidArgumentException when a period is below 1
     */
    public static function of(array $high, array $low, array $close, int $short, int $medium, int $long): array
    {
        $conversion = self::middle($high, $low, $short);
        $base = self::middle($high, $low, $medium);
        $far = self::middle($high, $low, $long);
        $leadingA = $leadingB = [];
        foreach ($close as $i => $_) {
            $c = $i < $medium ? null : $conversion[$i - $medium];
            $b = $i < $medium ? null : $base[$i - $medium];
            $leadingA[] = $c === null || $b === null ? null : ($c + $b) / 2;
            $leadingB[] = $i < $medium ? null : $far[$i - $medium];
        }

        return ['conversion' => $conversion, 'base' => $base, 'leading_a' => $leadingA, 'leading_b' => $leadingB, 'lagging' => $close];
    }

    /**
     * @param list<float> $high
     * @param list<float> $low
     *
     * @return list<float|null>
     */
    private static function middle(array $high, array $low, int $period): array
    {
        $tops = Extremes::highest($high, $period);
        $bottoms = Extremes::lowest($low, $period);
        $out = [];
        foreach ($tops as $i => $top) {
            $bottom = $bottoms[$i];
            $out[] = $top === null || $bottom === null ? null : ($top + $bottom) / 2;
        }

        return $out;
    }
}
