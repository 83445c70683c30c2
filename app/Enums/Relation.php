<?php

declare(strict_types=1);

namespace App\Enums;

/** How a candidate takes up a setup that is published already. */
enum Relation: string
{
    /** Unchanged: one setup and one result, told again by reference. */
    case Still = 'still';
    case Continues = 'continues';
    /** The new one stands for the old, whose wait is cancelled by an update. */
    case Replaces = 'replaces';
    case AddsTo = 'adds_to';

    public function words(): string
    {
        return match ($this) {
            self::Still => 'still stands',
            self::Continues => 'continues',
            self::Replaces => 'replaces',
            self::AddsTo => 'adds to',
        };
    }
}
