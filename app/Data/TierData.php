<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\Sees;

/** A tier as its author defines it. */
final readonly class TierData
{
    public function __construct(
        public int $id,
        public string $key,
        public string $name,
        public Sees $sees,
        public ?int $opensAfterHours,
        public bool $isVisitors,
        public int $readers,
    ) {
    }
}
