<?php

declare(strict_types=1);

namespace Watchpost\Core\Scanning;

use Watchpost\Core\Indicators\Period;
use Watchpost\Core\Indicators\RelativeVolume;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Market\Series;

/** A question that is put to the day bars of every instrument as of its last finished session. */
enum Scan: string
{
    case NewHigh = 'new_high';
    case NewLow = 'new_low';
    case CrossedAbove = 'crossed_above';
    case CrossedBelow = 'crossed_below';
    case Risen = 'risen';
    case Fallen = 'fallen';
    case Volume = 'volume';

    /**
     * How strongly an instrument answers it over n sessions; null when it does not, or has too few sessions. The largest
     * comes first.
     *
     * Formula, with the last close c, high h and low l:
     * new_high, new_low: h above, l below, that of the n sessions before; by how much, in percent of it.
     * crossed_above, crossed_below: c on the one side of sma(n), the close before not; the distance, in percent of it.
     * risen, fallen: c against the close n sessions before, in percent of it, when it is on that side.
     * volume: that of the session over the mean of the n before it, when it is above 1.
     *
     * Unit: percent; for volume a ratio. Source: computations.md, Indicators.
     *
     * @param int $sessions at least 1
     *
     * @throws \InvalidArgumentException when there are fewer
     */
    public function of(Series $days, int $sessions): ?float
    {
        Period::check($sessions);
        $last = $days->count() - 1;
        if ($last < $sessions) {
            return null;
        }

        return match ($this) {
            self::NewHigh => self::above($days->high[$last], max([PHP_INT_MIN, ...array_slice($days->high, $last - $sessions, $sessions)])),
            self::NewLow => self::below($days->low[$last], min([PHP_INT_MAX, ...array_slice($days->low, $last - $sessions, $sessions)])),
            self::CrossedAbove => self::crossed($days, $sessions, 1),
            self::CrossedBelow => self::crossed($days, $sessions, -1),
            self::Risen => self::above($days->close[$last], $days->close[$last - $sessions]),
            self::Fallen => self::below($days->close[$last], $days->close[$last - $sessions]),
            self::Volume => self::heavier($days, $sessions),
        };
    }

    private static function above(int $price, int $than): ?float
    {
        return $price > $than ? 100 * ($price / $than - 1) : null;
    }

    private static function below(int $price, int $than): ?float
    {
        return $price < $than ? 100 * (1 - $price / $than) : null;
    }

    private static function crossed(Series $days, int $sessions, int $sign): ?float
    {
        $closes = $days->closes();
        $averages = Sma::of($closes, $sessions);
        $last = count($closes) - 1;
        [$before, $now] = [$averages[$last - 1] ?? null, $averages[$last]];
        if ($before === null || $now === null || $sign * ($closes[$last - 1] - $before) > 0.0 || $sign * ($closes[$last] - $now) <= 0.0) {
            return null;
        }

        return $sign * 100 * ($closes[$last] / $now - 1);
    }

    private static function heavier(Series $days, int $sessions): ?float
    {
        $ratios = RelativeVolume::of(array_map(floatval(...), $days->volume), $sessions);
        $ratio = $ratios[count($ratios) - 1] ?? null;

        return $ratio !== null && $ratio > 1.0 ? $ratio : null;
    }
}
