<?php

declare(strict_types=1);

namespace App\Data;

/** Published setups that stand alike. */
final readonly class ReviewGroupData
{
    /** @param list<ReviewItemData> $items */
    public function __construct(
        public string $key,
        public string $label,
        public array $items,
    ) {
    }
}
