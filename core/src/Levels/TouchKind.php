<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** What came of a touch. */
enum TouchKind: string
{
    case Held = 'held';
    case Broke = 'broke';
    /** Held from the other side than before a break. */
    case RoleChange = 'role_change';
}
