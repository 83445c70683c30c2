<?php

declare(strict_types=1);

namespace App\Data;

/** All that changes while a candidate is marked and planned. */
final readonly class WorkbenchData
{
    /** @param list<LadderRowData> $ladder highest price first */
    public function __construct(
        public CandidateData $candidate,
        public array $ladder,
        public SetupData $setup,
        public ?string $atr,
        public ?string $undo,
        public ?string $redo,
    ) {
    }
}
