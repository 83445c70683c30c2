<?php

declare(strict_types=1);

namespace App\Data;

/** A public note on, or change to, a published setup. */
final readonly class UpdateData
{
    /** @param string|null $noEffect why it changed nothing */
    public function __construct(
        public int $id,
        public string $when,
        public string $what,
        public string $text,
        public ?string $noEffect,
    ) {
    }
}
