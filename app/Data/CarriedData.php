<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\Relation;

/** What a candidate of an edition takes up of an earlier one. */
final readonly class CarriedData
{
    /** @param list<CarriedSetupData> $setups */
    public function __construct(
        public Relation $relation,
        public int $edition,
        public array $setups,
    ) {
    }
}
