<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** Turns of price. */
final class Swings
{
    public const REACH = 3;

    /**
     * A swing high at bar i: its high is the greatest of bars i-k..i+k, the first of equals; known only at i+k. Lows
     * mirrored.
     *
     * Source: computations.md, Swings.
     *
     * @param list<float> $high
     * @param list<float> $low
     * @param int         $reach k, at least 1
     *
     * @return list<Swing> in the order in which they became known; of one bar the high first
     */
    public static function of(array $high, array $low, int $reach = self::REACH): array
    {
        $swings = [];
        $falling = array_map(static fn (float $price): float => -$price, $low);
        for ($i = $reach, $last = count($high) - 1 - $reach; $i <= $last; ++$i) {
            if (self::isGreatest($high, $i, $reach)) {
                $swings[] = new Swing($i, $i + $reach, $high[$i], true);
            }
            if (self::isGreatest($falling, $i, $reach)) {
                $swings[] = new Swing($i, $i + $reach, $low[$i], false);
            }
        }

        return $swings;
    }

    /**
     * The swings from which price went by at least one average true range (that of the swing's bar) before it exceeded
     * them again. What is not known by the last bar is left out.
     *
     * Source: computations.md, Swings.
     *
     * @param list<float>      $high
     * @param list<float>      $low
     * @param list<float|null> $atr  as long as $high
     *
     * @return list<Swing> in the order of {@see of()}
     */
    public static function prominent(array $high, array $low, array $atr, int $reach = self::REACH): array
    {
        return array_values(array_filter(self::of($high, $low, $reach), static fn (Swing $swing): bool => self::isProminent($swing, $high, $low, $atr[$swing->index])));
    }

    /**
     * @param list<float> $high
     * @param list<float> $low
     */
    private static function isProminent(Swing $swing, array $high, array $low, ?float $range): bool
    {
        if ($range === null) {
            return false;
        }
        for ($i = $swing->index + 1, $n = count($high); $i < $n; ++$i) {
            if ($swing->isHigh ? $high[$i] > $swing->price : $low[$i] < $swing->price) {
                return false;
            }
            if ($swing->isHigh ? $low[$i] <= $swing->price - $range : $high[$i] >= $swing->price + $range) {
                return true;
            }
        }

        return false;
    }

    /** @param list<float> $values */
    private static function isGreatest(array $values, int $i, int $reach): bool
    {
        for ($j = 1; $j <= $reach; ++$j) {
            if ($values[$i - $j] >= $values[$i] || $values[$i + $j] > $values[$i]) {
                return false;
            }
        }

        return true;
    }
}
