<?php

declare(strict_types=1);

namespace Watchpost\Core\Statistics;

use Watchpost\Core\Indicators\Period;
use Watchpost\Core\Market\Series;

/** How two series move together. */
final class Correlation
{
    /**
     * Pearson's correlation of the last n log returns, each between two dates that both series have; null until there
     * are n, and where one of the series does not move.
     *
     * Unit: -1 to 1. Source: computations.md, Indicators (correlation); edge-cases.md, T63.
     *
     * @param list<float> $a closes above 0 on common dates
     * @param list<float> $b as long as $a
     *
     * @return list<float|null>
     *
     * @throws \InvalidArgumentException when the period is below 1
     */
    public static function of(array $a, array $b, int $period): array
    {
        Period::check($period);
        $x = self::returns($a);
        $y = self::returns($b);
        $out = [];
        foreach ($a as $i => $_) {
            $out[] = $i < $period ? null : self::pearson(array_slice($x, $i - $period, $period), array_slice($y, $i - $period, $period));
        }

        return $out;
    }

    /** As of the last date that two series have in common. */
    public static function last(Series $a, Series $b, int $period): ?float
    {
        $x = $a->closesBy($a->session);
        $y = $b->closesBy($b->session);
        $dates = array_slice(array_keys(array_intersect_key($x, $y)), -$period - 1);
        $on = static fn (array $column): array => array_map(static fn (string $date): float => $column[$date], $dates);
        $values = self::of($on($x), $on($y), $period);

        return $values === [] ? null : $values[count($values) - 1];
    }

    /**
     * @param list<float> $x
     * @param list<float> $y
     */
    private static function pearson(array $x, array $y): ?float
    {
        $n = count($x);
        $mx = array_sum($x) / $n;
        $my = array_sum($y) / $n;
        $xy = $xx = $yy = 0.0;
        foreach ($x as $i => $value) {
            $xy += ($value - $mx) * ($y[$i] - $my);
            $xx += ($value - $mx) ** 2;
            $yy += ($y[$i] - $my) ** 2;
        }
        $scale = sqrt($xx) * sqrt($yy);

        return $scale > 0.0 ? max(-1.0, min(1.0, $xy / $scale)) : null;
    }

    /**
     * @param list<float> $close
     *
     * @return list<float> one fewer than the closes
     */
    private static function returns(array $close): array
    {
        $out = [];
        for ($i = 1, $n = count($close); $i < $n; ++$i) {
            $out[] = log($close[$i] / $close[$i - 1]);
        }

        return $out;
    }
}
