<?php

declare(strict_types=1);

namespace App\Data;

/** A move of the stop, with the fields of its kinds, and as it reads. */
final readonly class StopMoveData
{
    public function __construct(
        public string $after,
        public ?string $afterValue,
        public string $to,
        public ?string $price,
        public ?string $number,
        public ?string $timeframe,
        public ?string $type,
        public ?string $period,
        public ?string $multiple,
        public ?string $bars,
        public string $text,
    ) {
    }
}
