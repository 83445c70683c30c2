<?php

declare(strict_types=1);

namespace App\Data;

/** A line of a kind's checklist as it is written: of the kind "own" the value are its words. */
final readonly class SetupKindLineData
{
    public function __construct(public string $kind, public string $value)
    {
    }
}
