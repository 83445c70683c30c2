<?php

declare(strict_types=1);

namespace App\Data;

/** A condition of a setup, with the fields of its kind, and as it reads. */
final readonly class ConditionData
{
    public function __construct(
        public string $kind,
        public ?string $value,
        public ?string $type,
        public ?string $period,
        public ?string $symbol,
        public ?string $price,
        public ?string $from,
        public ?string $to,
        public string $text,
    ) {
    }
}
