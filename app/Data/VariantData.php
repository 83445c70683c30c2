<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\Side;

/** One of the ways in which a candidate is planned; it reads as nothing until entry and stop are set. */
final readonly class VariantData
{
    /**
     * @param string      $name  empty for the only one
     * @param string|null $short its one line
     */
    public function __construct(
        public int $number,
        public string $name,
        public Side $side,
        public ?string $short,
        public ?string $sentence,
        public ?StripData $strip,
    ) {
    }
}
