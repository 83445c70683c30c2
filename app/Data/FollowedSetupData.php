<?php

declare(strict_types=1);

namespace App\Data;

/** A setup on a reader's own list. */
final readonly class FollowedSetupData
{
    public function __construct(public int $edition, public string $key, public string $symbol, public string $name, public string $sentence, public OutcomeData $outcome)
    {
    }
}
