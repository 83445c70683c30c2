<?php

declare(strict_types=1);

namespace App\Data;

/** A line of the check before publication, and where what it tells can be mended. */
final readonly class CheckLineData
{
    /** @param string|null $place "words" for the texts of the plan; a candidate goes before */
    public function __construct(public bool $stops, public string $message, public ?int $candidateId, public ?string $place = null)
    {
    }
}
