<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** How a level did at its first touch. */
enum ReactionKind: string
{
    case Held = 'held';
    case Broke = 'broke';
    case Undecided = 'undecided';
    case Untouched = 'untouched';
}
