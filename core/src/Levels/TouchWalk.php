<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

use Watchpost\Core\Market\Series;

/** Walks bars past a level and tells each visit: whether it held, broke, or held from the other side after a break. */
final readonly class TouchWalk
{
    /**
     * @param float $beyond how far beyond the far edge a close must stand to break it, in units
     */
    public function __construct(private Band $band, private float $beyond)
    {
    }

    /**
     * A visit begins when price trades into the level and ends with the first bar that closes outside of it: on the side
     * it came from it held, beyond the other by more than a little it broke. Bars in a row that trade into the level are
     * one visit. A touch is told with the session on which it ended and the price to which it went.
     *
     * Source: computations.md, Levels 1.
     *
     * @param int $from the first bar that counts
     *
     * @return list<Touch>
     */
    public function walk(Series $series, int $from): array
    {
        $touches = [];
        // where price comes from, and where it came from at first; 0 while it stands within
        $side = $from > 0 ? $this->band->side($from - 1, $series->close[$from - 1]) ?? 0 : 0;
        $first = $side;
        $deepest = null;
        $wasIn = false;
        for ($i = $from, $n = $series->count(); $i < $n; ++$i) {
            $low = $this->band->low[$i];
            $high = $this->band->high[$i];
            $now = $this->band->side($i, $series->close[$i]);
            if ($low === null || $high === null || $now === null) {
                continue;
            }
            $isIn = $series->low[$i] <= $high && $series->high[$i] >= $low;
            if ($side === 0) {
                // it came from within: the first close outside says from where it will come next
                $first = $side = $now;
                $wasIn = $isIn;
                continue;
            }
            $crossed = $side > 0 ? $series->close[$i] < $low - $this->beyond : $series->close[$i] > $high + $this->beyond;
            if ($isIn || $deepest !== null) {
                $deepest = self::deeper($deepest, $side > 0 ? $series->low[$i] : $series->high[$i], $side);
            }
            if ($now === $side && $deepest !== null) {
                if (! $wasIn) {
                    $touches[] = new Touch($series->session[$i], $deepest, $side === $first ? TouchKind::Held : TouchKind::RoleChange);
                }
                $deepest = null;
            } elseif ($crossed) {
                $touches[] = new Touch($series->session[$i], $deepest ?? $series->close[$i], TouchKind::Broke);
                $side = -$side;
                $deepest = null;
            }
            // a bar that leaves the level closes its visit: the next one in a row goes on with it
            $wasIn = $isIn && $now === $side;
        }

        return $touches;
    }

    private static function deeper(?int $deepest, int $price, int $side): int
    {
        return $deepest === null ? $price : ($side > 0 ? min($deepest, $price) : max($deepest, $price));
    }
}
