<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** A point on a chart: a session and a price. */
final readonly class Anchor
{
    /** @param int $price in units */
    public function __construct(public string $session, public int $price)
    {
    }

    /**
     * The bar of the series that holds its session: the last that begins on it or before; null when all begin later.
     */
    public function index(LevelInput $input): ?int
    {
        $found = null;
        $low = 0;
        $high = $input->last;
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            if ($input->series->session[$middle] <= $this->session) {
                $found = $middle;
                $low = $middle + 1;
            } else {
                $high = $middle - 1;
            }
        }

        return $found;
    }
}
