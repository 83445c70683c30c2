<?php

declare(strict_types=1);

namespace App\Data;

/** The look back that opens an evening: what came of what was published. */
final readonly class ReviewData
{
    /**
     * @param string                $since    the last edition; empty without one
     * @param list<ReviewGroupData> $groups
     * @param string|null           $realised R of what closed since; null when nothing did
     * @param string|null           $best     the best of what closed since, in words
     * @param string|null           $open     R of what is open, the parts that are realised apart; null when nothing is
     * @param list<ReviewLevelData> $levels   that held or broke since
     */
    public function __construct(
        public string $since,
        public array $groups,
        public int $closed,
        public ?string $realised,
        public ?string $best,
        public ?string $worst,
        public int $openCount,
        public ?string $open,
        public int $waiting,
        public int $notTriggered,
        public int $neverFilled,
        public array $levels,
    ) {
    }
}
