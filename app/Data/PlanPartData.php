<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\PartRole;

/** A text of a plan while it is written. */
final readonly class PlanPartData
{
    public function __construct(
        public string $id,
        public PartRole $role,
        public string $title,
        public string $text,
        public string $place,
        public string $readers,
        public bool $isRequired,
    ) {
    }
}
