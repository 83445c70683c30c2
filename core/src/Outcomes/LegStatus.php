<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

enum LegStatus: string
{
    case Waiting = 'waiting';
    case Filled = 'filled';
    case Expired = 'expired';
    case Cancelled = 'cancelled';
    case Void = 'void';
}
