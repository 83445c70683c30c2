<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** What is traded or watched, with the grid of its prices. */
final readonly class Instrument
{
    public function __construct(
        public string $symbol,
        public string $name,
        public InstrumentKind $kind,
        public PriceGrid $grid,
        public string $currency,
        public string $group,
    ) {
    }
}
