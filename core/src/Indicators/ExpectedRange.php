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
        Period::check($sessions);
        $atr = Atr::of($high, $low, $close, self::ATR_PERIOD);
        $ups = $downs = $heldLow = $heldHigh = $held = [];
        $out = ['low' => [], 'high' => [], 'held_low' => [], 'held_high' => [], 'held' => []];
        $edges = null;
        foreach ($close as $i => $now) {
            $before = $i === 0 ? null : $atr[$i - 1];
            if ($before !== null && $before > 0.0) {
                $ups[] = ($high[$i] - $close[$i - 1]) / $before;
                $downs[] = ($low[$i] - $close[$i - 1]) / $before;
            }
            if ($edges !== null) {
                $lowHeld = $low[$i] >= $edges[0];
                $highHeld = $high[$i] <= $edges[1];
                $heldLow[] = $lowHeld ? 1 : 0;
                $heldHigh[] = $highHeld ? 1 : 0;
                $held[] = $lowHeld && $highHeld ? 1 : 0;
            }
            $edges = self::edges($ups, $downs, $sessions, $now, $atr[$i]);
            $out['low'][] = $edges[0] ?? null;
            $out['high'][] = $edges[1] ?? null;
            $out['held_low'][] = self::share($heldLow, $sessions);
            $out['held_high'][] = self::share($heldHigh, $sessions);
            $out['held'][] = self::share($held, $sessions);
        }

        return $out;
    }

    /**
     * @param list<float> $ups
     * @param list<float> $downs
     *
     * @return array{float, float}|null
     */
    private static function edges(array $ups, array $downs, int $sessions, float $close, ?float $atr): ?array
    {
        if ($atr === null || count($ups) < $sessions) {
            return null;
        }
        $up = array_slice($ups, -$sessions);
        $down = array_slice($downs, -$sessions);
        sort($up);
        sort($down);

        return [$close + Quantile::of($down, self::LOW) * $atr, $close + Quantile::of($up, self::HIGH) * $atr];
    }

    /** @param list<int> $held */
    private static function share(array $held, int $sessions): ?float
    {
        return count($held) < $sessions ? null : array_sum(array_slice($held, -$sessions)) / $sessions;
    }
}
