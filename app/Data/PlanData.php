<?php

declare(strict_types=1);

namespace App\Data;

/** The plan being worked on. */
final readonly class PlanData
{
    public function __construct(
        public int $id,
        public string $session,
        public string $opens,
        public string $bias,
        public ?string $undo,
        public ?string $redo,
    ) {
    }
}
