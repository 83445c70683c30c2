<?php

declare(strict_types=1);

namespace App\Data;

/** The odds of the next two sessions, with the state they are for. */
final readonly class OddsData
{
    public function __construct(public string $state, public int $cases, public ?float $share, public ?float $low, public ?float $high, public bool $tooFew, public int $allCases, public float $allShare)
    {
    }
}
