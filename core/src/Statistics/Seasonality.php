<?php

declare(strict_types=1);

namespace Watchpost\Core\Statistics;

use Watchpost\Core\Indicators\Quantile;

/** Returns by calendar month. */
final class Seasonality
{
    /**
     * The return of a month = (its last close / the last close of the month before - 1) x 100; a month whose month
     * before has no close is left out. With a cycle only years with year mod m = k mod m count.
     *
     * Unit: percent; rises 0 to 1. Source: computations.md, Indicators (seasonality).
     *
     * @param array<string, float> $closes of finished months by "YYYY-MM", in order
     * @param int|null             $year   k, the year within the cycle; null for all years
     * @param int                  $cycle  m, at least 1
     *
     * @return list<MonthRecord> January to December; figures are null without a year
     */
    public static function of(array $closes, ?int $year = null, int $cycle = 4): array
    {
        $returns = array_fill(1, 12, []);
        foreach ($closes as $month => $close) {
            $before = $closes[self::before($month)] ?? null;
            $inCycle = $year === null || ((int) substr($month, 0, 4) - $year) % $cycle === 0;
            if ($before !== null && $inCycle) {
                $returns[(int) substr($month, 5, 2)][] = ($close / $before - 1) * 100;
            }
        }

        return array_map(self::record(...), range(1, 12), $returns);
    }

    /** @param list<float> $returns */
    private static function record(int $month, array $returns): MonthRecord
    {
        $n = count($returns);
        if ($n === 0) {
            return new MonthRecord($month, 0, null, null, null);
        }
        sort($returns);

        return new MonthRecord($month, $n, array_sum($returns) / $n, Quantile::of($returns, 0.5), count(array_filter($returns, static fn (float $r): bool => $r > 0.0)) / $n);
    }

    private static function before(string $month): string
    {
        $year = (int) substr($month, 0, 4);
        $number = (int) substr($month, 5, 2);

        return $number === 1 ? sprintf('%04d-12', $year - 1) : sprintf('%04d-%02d', $year, $number - 1);
    }
}
