<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\RStrip;
use Watchpost\Core\Setups\Side;

/** The R strip: everything in R of the planned entry and risk. */
final readonly class StripData
{
    /** @param list<string> $targets */
    public function __construct(
        public Side $side,
        public array $targets,
        public ?string $now,
        public ?string $fill,
        public ?string $best,
        public ?string $worst,
        public string $filled,
    ) {
    }

    public static function of(RStrip $strip): self
    {
        return new self($strip->side, $strip->targets, $strip->now, $strip->fill, $strip->best, $strip->worst, $strip->filled);
    }
}
