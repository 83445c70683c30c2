<?php

declare(strict_types=1);

namespace App\Data;

/** Why a setup is planned, and what would prove that wrong; each empty or null where nothing is said. */
final readonly class ThesisData
{
    public function __construct(
        public string $speaksFor,
        public string $speaksAgainst,
        public ?int $conviction,
        public string $wrongIf,
        public ?string $wrongAt,
    ) {
    }
}
