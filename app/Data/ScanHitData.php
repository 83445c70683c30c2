<?php

declare(strict_types=1);

namespace App\Data;

/** An instrument that a scan has found. */
final readonly class ScanHitData
{
    /**
     * @param string                  $value  how strongly it answers, with its unit
     * @param string                  $note   the same for the working list: what was found, and how strongly
     * @param list<CandidateFactData> $facts  the few that decide
     * @param list<float>             $closes of the last 60 sessions
     * @param bool                    $onList on the plan's working list already
     */
    public function __construct(
        public InstrumentData $instrument,
        public string $value,
        public string $note,
        public ?string $last,
        public array $facts,
        public array $closes,
        public bool $onList,
    ) {
    }
}
