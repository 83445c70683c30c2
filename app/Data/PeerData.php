<?php

declare(strict_types=1);

namespace App\Data;

/** An instrument beside a candidate: one of its industry, or what it is measured against. */
final readonly class PeerData
{
    /**
     * @param bool        $isChosen    the candidate itself
     * @param bool        $leads       the share of its industry that has risen most over the last 60 sessions
     * @param bool        $standsIn    the lowest priced of those that move as the candidate does
     * @param bool        $onList      on the plan's working list already
     * @param string|null $change      against the close before, in percent
     * @param float|null  $risen       over 60 sessions, in percent
     * @param float|null  $correlation of daily returns over 60 sessions with the candidate, -1 to 1
     * @param list<CandidateFactData> $facts the few that decide
     * @param list<float> $closes      of the last 60 sessions
     */
    public function __construct(
        public int $instrumentId,
        public string $symbol,
        public string $name,
        public string $kind,
        public bool $isChosen,
        public bool $leads,
        public bool $standsIn,
        public bool $onList,
        public ?string $last,
        public ?string $change,
        public ?float $risen,
        public ?float $correlation,
        public array $facts,
        public array $closes,
    ) {
    }
}
