<?php

declare(strict_types=1);

namespace App\Actions;

use App\Levels\Check;
use App\Levels\NewLevel;
use App\Models\Candidate;
use App\Models\Level;

/** Takes a level of the cross-check over as the author's own, with its origin, grade and time frame. */
final readonly class AdoptLevel
{
    public function __construct(private MarkLevel $mark)
    {
    }

    public function __invoke(Candidate $candidate, Check $check): Level
    {
        return ($this->mark)($candidate, NewLevel::from($check, $candidate->instrument->grid()));
    }
}
