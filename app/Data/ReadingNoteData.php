<?php

declare(strict_types=1);

namespace App\Data;

/** What the author reads in the chart of a candidate, and what would prove it wrong. */
final readonly class ReadingNoteData
{
    /** @param int|null $cleanness how clean the shape is, 1 to 5 */
    public function __construct(
        public string $shape,
        public ?int $cleanness,
        public string $speaksFor,
        public string $speaksAgainst,
        public ?int $conviction,
        public string $wrongIf,
        public ?string $wrongAt,
    ) {
    }
}
