<?php

declare(strict_types=1);

namespace App\Planning;

use App\Data\StopOfferData;
use App\Levels\LevelReading;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Setups\Draft;
use Watchpost\Core\Setups\StopPlace;

/** Places for a stop behind structure: the nearest swing, the far edge of the nearest level, a multiple of the range. */
final readonly class StopOffers
{
    /** A stop lies so far beyond the structure, in ATR. */
    private const BEYOND = 0.1;
    private const MULTIPLE = 1.5;

    /**
     * @param list<LevelReading> $levels the author's own
     *
     * @return list<StopOfferData> the nearest first; none without an entry
     */
    public function of(Draft $draft, Series $series, array $levels, ?float $atr): array
    {
        $entry = $draft->plannedEntry() ?? ($draft->entry()->kind->hasPrice() ? null : $series->lastClose());
        if ($entry === null || $atr === null || $atr <= 0.0) {
            return [];
        }
        $sign = $draft->side->sign();
        $offers = [];
        $add = static function (StopPlace $place, float $price, string $why) use (&$offers, $series, $entry, $sign, $atr): void {
            $tick = $series->grid->tick;
            $onTick = ($sign > 0 ? (int) floor($price / $tick) : (int) ceil($price / $tick)) * $tick;
            $distance = ($entry - $onTick) * $sign;
            if ($distance > 0 && $onTick > 0) {
                $offers[$onTick] ??= [$distance, new StopOfferData($place, $series->grid->format($onTick), $why, number_format($distance / $atr, 1, '.', '').' ATR')];
            }
        };
        $swing = $this->swing($series, $entry, $sign);
        if ($swing !== null) {
            $add(StopPlace::Swing, $swing - $sign * self::BEYOND * $atr, $sign > 0 ? 'below the last swing low' : 'above the last swing high');
        }
        $edge = $this->edge($levels, $entry, $sign);
        if ($edge !== null) {
            $add(StopPlace::Level, $edge[0] - $sign * self::BEYOND * $atr, ($sign > 0 ? 'below ' : 'above ').$edge[1]);
        }
        $add(StopPlace::Range, $entry - $sign * self::MULTIPLE * $atr, 'by the usual range alone');
        usort($offers, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_map(static fn (array $offer): StopOfferData => $offer[1], $offers);
    }

    /** The last low on the losing side of the entry, or high for a short, in units. */
    private function swing(Series $series, int $entry, int $sign): ?float
    {
        $lows = $sign > 0 ? $series->low : $series->high;
        for ($i = count($lows) - 3; $i >= 2; --$i) {
            $here = $lows[$i];
            $turns = ($lows[$i - 1] - $here) * $sign > 0 && ($lows[$i - 2] - $here) * $sign > 0 && ($lows[$i + 1] - $here) * $sign > 0 && ($lows[$i + 2] - $here) * $sign > 0;
            if ($turns && ($entry - $here) * $sign > 0) {
                return (float) $here;
            }
        }

        return null;
    }

    /**
     * @param list<LevelReading> $levels
     *
     * @return array{int, string}|null the far edge of the nearest level on the losing side, and its name
     */
    private function edge(array $levels, int $entry, int $sign): ?array
    {
        $best = null;
        foreach ($levels as $level) {
            $edge = $sign > 0 ? $level->low : $level->high;
            if (($entry - $edge) * $sign > 0 && ($best === null || ($edge - $best[0]) * $sign > 0)) {
                $best = [$edge, $level->label];
            }
        }

        return $best;
    }
}
