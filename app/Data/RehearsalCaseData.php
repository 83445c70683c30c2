<?php

declare(strict_types=1);

namespace App\Data;

/** One case of a rehearsal; R is null without a fill. */
final readonly class RehearsalCaseData
{
    /**
     * @param string $date  of the evening on which it would have been published
     * @param string $what  came of it, in words
     * @param bool   $counts whether it was filled and is at its end
     */
    public function __construct(
        public int $number,
        public string $symbol,
        public string $session,
        public string $date,
        public string $level,
        public string $what,
        public ?string $r,
        public ?float $value,
        public bool $counts,
    ) {
    }
}
