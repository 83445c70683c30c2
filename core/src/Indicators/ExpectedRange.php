<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Within which edges the next session is expected, and how often such edges held. */
final class ExpectedRange
{
    private const ATR_PERIOD = 14;
    private const LOW = 0.10;
    private const HIGH = 0.90;

    /**
     * For the bars up to i: up = (h - c[j-1]) / atr(14)[j-1] and down = (l - c[j-1]) / atr(14)[j-1] over the last n
     * sessions; high = c + the 90 % quantile of up x atr, low = c + the 10 % quantile of down x atr, for the session
     * after i. held_high, held_low, held = the share of the last n sessions whose high stayed at or below, whose low
     * at or above, and that stayed within both edges as they were computed on the evening before. Null until n
     * sessions are there, the shares until n evenings are.
     *
     * Unit: edges that of the prices; shares 0 to 1. Source: computations.md, Levels 9.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param list<float> $close
     *
     * @return array{low: list<float|null>, high: list<float|null>, held_low: list<float|null>, held_high: list<float|null>, held: list<float|null>}
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $high, array $low, array $close, int $sessions): array
    {
        $atr = Atr::of($high, $low, $close, self::ATR_PERIOD);
        $ups = new SortedWindow($sessions);
        $downs = new SortedWindow($sessions);
        $heldLow = $heldHigh = $held = [];
        $out = ['low' => [], 'high' => [], 'held_low' => [], 'held_high' => [], 'held' => []];
        $edges = null;
        foreach ($close as $i => $now) {
            $before = $i === 0 ? null : $atr[$i - 1];
            if ($before !== null && $before > 0.0) {
                $ups->push(($high[$i] - $close[$i - 1]) / $before);
                $downs->push(($low[$i] - $close[$i - 1]) / $before);
            }
            $lowHeld = $edges === null ? null : (float) ($low[$i] >= $edges[0]);
            $highHeld = $edges === null ? null : (float) ($high[$i] <= $edges[1]);
            $heldLow[] = $lowHeld;
            $heldHigh[] = $highHeld;
            $held[] = $lowHeld === null || $highHeld === null ? null : $lowHeld * $highHeld;
            $range = $atr[$i];
            $edges = $range === null || ! $ups->isFull() ? null : [$now + $downs->quantile(self::LOW) * $range, $now + $ups->quantile(self::HIGH) * $range];
            $out['low'][] = $edges[0] ?? null;
            $out['high'][] = $edges[1] ?? null;
        }
        // the share of the last evenings is the mean of their ones and zeros
        $out['held_low'] = Sma::of($heldLow, $sessions);
        $out['held_high'] = Sma::of($heldHigh, $sessions);
        $out['held'] = Sma::of($held, $sessions);

        return $out;
    }
}
