<?php

declare(strict_types=1);

namespace App\Data;

/** One fact that decides whether a candidate is worth a setup. */
final readonly class CandidateFactData
{
    /** @param string $caution why it stands out, by the author's own limits; empty when it does not */
    public function __construct(public string $label, public string $value, public string $note, public string $caution)
    {
    }
}
