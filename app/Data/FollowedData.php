<?php

declare(strict_types=1);

namespace App\Data;

/** What became of a published setup: by the sealed rules alone, and with the author's updates applied. */
final readonly class FollowedData
{
    /**
     * @param OutcomeData|null $managed null without an update that changes anything
     * @param list<UpdateData> $updates in order
     */
    public function __construct(
        public OutcomeData $outcome,
        public ?OutcomeData $managed,
        public array $updates,
    ) {
    }
}
