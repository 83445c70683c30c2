<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Watchpost\Core\Market\Instrument;

/** An instrument of the made-up exchange and how it moves. */
final readonly class Listing
{
    /**
     * @param float $firstPrice price at the start of the history, in currency
     * @param float $dailyMove  usual session move, as a share of price
     * @param float $beta       how strongly it follows the whole market; negative for an inverse fund
     * @param int   $volume     usual session volume, 0 for one that is not traded itself
     */
    public function __construct(
        public Instrument $instrument,
        public float $firstPrice,
        public float $dailyMove,
        public float $beta,
        public int $volume,
    ) {
    }
}
