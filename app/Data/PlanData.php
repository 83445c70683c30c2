<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\PlanKind;

/** The plan being worked on. */
final readonly class PlanData
{
    /**
     * @param string           $session  or week it is for, in words
     * @param string           $deadline by when it must be out
     * @param list<DraftData>  $drafts   all there are
     * @param list<ChoiceData> $sessions it can be for
     * @param list<ChoiceData> $kinds    of plans that can be begun
     */
    public function __construct(
        public int $id,
        public PlanKind $kind,
        public string $kindLabel,
        public string $session,
        public string $sessionDate,
        public string $opens,
        public string $deadline,
        public bool $isLate,
        public string $bias,
        public ?string $undo,
        public ?string $redo,
        public int $revision,
        public array $drafts,
        public array $sessions,
        public array $kinds,
    ) {
    }
}
