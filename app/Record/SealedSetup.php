<?php

declare(strict_types=1);

namespace App\Record;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Outcomes\Costs;
use Watchpost\Core\Setups\Setup;

/** A setup read from its sealed edition, with all the engine needs to judge it; its name is empty unless it is one of several variants. */
final readonly class SealedSetup
{
    public function __construct(
        public Setup $setup,
        public PriceGrid $grid,
        public Costs $costs,
        public TimeFrame $judgedOn,
        public string $name,
        public string $sentence,
    ) {
    }
}
