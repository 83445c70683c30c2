<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;

/**
 * Something the author did after publishing. It acts from the first base bar that starts at or after its moment
 * (rules.md, Updates); prices are on the scale of that bar.
 */
final readonly class Update
{
    /**
     * @param string          $path   where it stands in the input, for an error
     * @param int|null        $price  of a move, in units
     * @param int|null        $number of a target, from 1
     * @param BigDecimal|null $share  of what is open, for an exit
     */
    public function __construct(
        public int $at,
        public UpdateKind $kind,
        public string $path = 'updates',
        public ?int $price = null,
        public ?int $number = null,
        public ?BigDecimal $share = null,
    ) {
    }
}
