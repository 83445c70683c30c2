<?php

declare(strict_types=1);

namespace App\Data;

/** All that changes while a candidate is marked and planned. */
final readonly class WorkbenchData
{
    /**
     * @param list<LadderRowData>    $ladder   highest price first
     * @param list<string>           $sessions dates of the day bars that curves of the ladder stand on, the last of them the next session
     * @param list<RetiredLevelData> $retired  the latest first
     * @param int                    $variant  the number of the one in hand, whose setup this is
     * @param bool                   $eitherOr of the variants, the first that is filled ends the others
     * @param list<VariantOfferData> $ways     other ways in which the setup in hand could be traded
     * @param list<SetupKindData>    $kinds    the author's own kinds of setup
     * @param string|null            $asOf     the evening of the cross-check, if it is an earlier one
     */
    public function __construct(
        public CandidateData $candidate,
        public array $ladder,
        public array $sessions,
        public array $retired,
        public ?string $asOf,
        public SetupData $setup,
        public int $variant,
        public bool $eitherOr,
        public array $ways,
        public array $kinds,
        public ReadingNoteData $note,
        public ?string $atr,
        public ?float $atrValue,
        public ?string $undo,
        public ?string $redo,
        public int $planId,
        public int $revision,
    ) {
    }
}
