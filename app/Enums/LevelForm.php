<?php

declare(strict_types=1);

namespace App\Enums;

/** What a level is. */
enum LevelForm: string
{
    case Price = 'price';
    case Zone = 'zone';
    /** A price tied to a bar: "high of the previous week". */
    case Mark = 'mark';
    /** Through two points; with a third, a channel. */
    case Line = 'line';
    case Average = 'average';
    /** Retracements and projections of a move between two points. */
    case Swing = 'swing';

    /** Whether it lies at another price in another session. */
    public function moves(): bool
    {
        return $this === self::Line || $this === self::Average;
    }
}
