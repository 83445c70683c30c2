<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Where one line crossed another. */
final readonly class Crossing
{
    /**
     * @param int $index     the bar on which the line first stood on its new side
     * @param int $direction 1: it crossed upward, -1: downward
     */
    private function __construct(public int $index, public int $direction)
    {
    }

    /**
     * The last crossing of a line over another: a bar on which it stands on the other side than when they last
     * differed. Null when there was none.
     *
     * Source: computations.md, Indicators (moving-average order).
     *
     * @param list<float|null> $line
     * @param list<float|null> $other as long as $line
     */
    public static function last(array $line, array $other): ?self
    {
        $side = 0;
        $last = null;
        foreach ($line as $i => $value) {
            $against = $other[$i];
            $now = $value === null || $against === null ? 0 : $value <=> $against;
            if ($now !== 0 && $side !== 0 && $now !== $side) {
                $last = new self($i, $now);
            }
            $side = $now === 0 ? $side : $now;
        }

        return $last;
    }
}
