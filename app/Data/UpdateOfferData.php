<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\UpdateKind;

/** An update that can be made to a published setup as it stands. */
final readonly class UpdateOfferData
{
    /** @param int|null $number of the target that would be moved */
    public function __construct(
        public UpdateKind $kind,
        public string $label,
        public string $now,
        public ?int $number,
    ) {
    }
}
