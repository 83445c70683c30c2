<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\VariantKind;

/** Another way in which the setup in hand could be traded. */
final readonly class VariantOfferData
{
    public function __construct(public VariantKind $kind, public string $label)
    {
    }
}
