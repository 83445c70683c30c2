<?php

declare(strict_types=1);

namespace App\Data;

/** How whole the bars of an instrument are. */
final readonly class QualityData
{
    /**
     * @param list<string>         $missingSessions days of the calendar without a day bar, the latest first
     * @param int                  $sessions        sessions of the calendar since the first bar
     * @param int                  $finePresent     bars of five minutes in the last sessions
     * @param int                  $fineExpected    as the calendar has them
     * @param list<CorrectionData> $corrections
     */
    public function __construct(
        public ?string $first,
        public int $sessions,
        public int $missing,
        public array $missingSessions,
        public int $fineSessions,
        public int $finePresent,
        public int $fineExpected,
        public array $corrections,
    ) {
    }
}
