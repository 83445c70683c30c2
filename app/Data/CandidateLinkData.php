<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\CandidateState;

/** A candidate's place in the walk through the list. */
final readonly class CandidateLinkData
{
    public function __construct(public int $id, public string $symbol, public CandidateState $state, public string $setupNote)
    {
    }
}
