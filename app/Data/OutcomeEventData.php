<?php

declare(strict_types=1);

namespace App\Data;

final readonly class OutcomeEventData
{
    /** @param float|null $drawnAt its price on the scale of today, for a chart */
    public function __construct(
        public string $when,
        public ?string $session,
        public string $what,
        public bool $isFill,
        public bool $isExit,
        public ?string $price,
        public ?float $drawnAt,
        public ?string $share,
        public string $note,
    ) {
    }
}
