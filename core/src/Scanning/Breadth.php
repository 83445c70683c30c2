<?php

declare(strict_types=1);

namespace Watchpost\Core\Scanning;

use Watchpost\Core\Indicators\Columns;
use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\Sma;

/** How many of a list of instruments take part in a move. Columns by session, in order of date. */
final readonly class Breadth
{
    private const FAST = 19;
    private const SLOW = 39;
    private const YEAR = 252;

    /**
     * @param list<string>     $dates
     * @param list<int>        $advancers  closes above the close before
     * @param list<int>        $decliners  closes below it
     * @param list<int>        $newHighs   closes above the 252 before
     * @param list<int>        $newLows    closes below them
     * @param list<float|null> $above50    share above the SMA 50, in percent of those that have one
     * @param list<float|null> $above200   likewise for the SMA 200
     * @param list<float|null> $oscillator EMA 19 - EMA 39 of net advances
     * @param list<float|null> $sum        its running sum
     */
    private function __construct(
        public array $dates,
        public array $advancers,
        public array $decliners,
        public array $newHighs,
        public array $newLows,
        public array $above50,
        public array $above200,
        public array $oscillator,
        public array $sum,
    ) {
    }

    /**
     * Each instrument counts on the dates on which it has a close, against its own close before.
     *
     * Unit: counts of instruments; percent. Source: computations.md, Indicators (breadth).
     *
     * @param array<string, array<string, float>> $closes by symbol, then by date in order
     */
    public static function of(array $closes): self
    {
        /** @var array<string, array{int, int, int, int, int, int, int, int}> $tally */
        $tally = [];
        foreach ($closes as $column) {
            self::count($column, $tally);
        }
        ksort($tally);
        $column = static fn (int $k): array => array_values(array_map(static fn (array $row): int => $row[$k], $tally));
        $share = static fn (int $hits, int $cases): array => array_values(array_map(
            static fn (array $row): ?float => $row[$cases] === 0 ? null : $row[$hits] / $row[$cases] * 100,
            $tally,
        ));
        $net = array_values(array_map(static fn (array $row): float => (float) ($row[0] - $row[1]), $tally));
        $oscillator = Columns::difference(Ema::of($net, self::FAST), Ema::of($net, self::SLOW));
        $sum = [];
        $total = 0.0;
        foreach ($oscillator as $value) {
            $sum[] = $value === null ? null : $total += $value;
        }

        return new self(array_keys($tally), $column(0), $column(1), $column(2), $column(3), $share(4, 5), $share(6, 7), $oscillator, $sum);
    }

    /**
     * @param array<string, float>                                          $column
     * @param array<string, array{int, int, int, int, int, int, int, int}> $tally
     */
    private static function count(array $column, array &$tally): void
    {
        $close = array_values($column);
        $short = Sma::of($close, 50);
        $long = Sma::of($close, 200);
        foreach (array_keys($column) as $i => $date) {
            if ($i === 0) {
                continue;
            }
            $row = $tally[$date] ?? [0, 0, 0, 0, 0, 0, 0, 0];
            $now = $close[$i];
            $row[0] += $now > $close[$i - 1] ? 1 : 0;
            $row[1] += $now < $close[$i - 1] ? 1 : 0;
            $before = $i < self::YEAR ? [] : array_slice($close, $i - self::YEAR, self::YEAR);
            if ($before !== []) {
                $row[2] += $now > max($before) ? 1 : 0;
                $row[3] += $now < min($before) ? 1 : 0;
            }
            $row[4] += $short[$i] !== null && $now > $short[$i] ? 1 : 0;
            $row[5] += $short[$i] !== null ? 1 : 0;
            $row[6] += $long[$i] !== null && $now > $long[$i] ? 1 : 0;
            $row[7] += $long[$i] !== null ? 1 : 0;
            $tally[$date] = $row;
        }
    }
}
