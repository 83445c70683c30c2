<?php

declare(strict_types=1);

namespace App\Data;

/** One line of the check before publication: it stops, or it warns. */
final readonly class CheckLineData
{
    public function __construct(public bool $stops, public string $message, public ?int $candidateId)
    {
    }
}
