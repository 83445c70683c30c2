<?php

declare(strict_types=1);

namespace App\Data;

/** An event, with how much it matters to the author. */
final readonly class MarketEventData
{
    /**
     * @param bool $ofCandidate whether its instrument is on the working list
     * @param int  $weight      0 to 3
     */
    public function __construct(
        public int $id,
        public string $date,
        public string $day,
        public string $when,
        public string $kind,
        public string $title,
        public ?string $symbol,
        public string $source,
        public bool $ofCandidate,
        public int $weight,
        public string $note,
    ) {
    }
}
