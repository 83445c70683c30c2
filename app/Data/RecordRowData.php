<?php

declare(strict_types=1);

namespace App\Data;

/** One published setup in the record: the only one of its candidate, or one of its variants, of which one is the first. */
final readonly class RecordRowData
{
    public function __construct(
        public int $edition,
        public string $key,
        public string $session,
        public string $symbol,
        public string $variant,
        public bool $isFirst,
        public string $kind,
        public string $name,
        public string $sentence,
        public FollowedData $followed,
    ) {
    }
}
