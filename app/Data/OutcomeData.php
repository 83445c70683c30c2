<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Outcomes\OutcomeStatus;

/** What happened to a published setup, told for a reader. */
final readonly class OutcomeData
{
    /**
     * @param list<OutcomeEventData> $events
     * @param list<string>           $remarks what else there is to know of the bars it was judged on
     */
    public function __construct(
        public OutcomeStatus $status,
        public string $label,
        public string $asOf,
        public ?string $r,
        public ?string $rRealised,
        public ?string $rOpen,
        public ?string $percent,
        public ?string $perUnit,
        public ?string $averageFill,
        public ?int $sessionsHeld,
        public ?string $best,
        public ?string $worst,
        public bool $ambiguous,
        public ?string $missed,
        public ?string $targetFirst,
        public array $events,
        public StripData $strip,
        public array $remarks,
    ) {
    }
}
