<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

/** How a line of a checklist stands. */
enum Standing: string
{
    case Met = 'met';
    /** It may still come by itself. */
    case NotYet = 'not_yet';
    /** Only another plan would change it. */
    case Failed = 'failed';
}
