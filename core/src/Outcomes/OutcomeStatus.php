<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

enum OutcomeStatus: string
{
    case Waiting = 'waiting';
    case Open = 'open';
    case Closed = 'closed';
    case NotTriggered = 'not_triggered';
    case Cancelled = 'cancelled';
    case Void = 'void';

    /** Whether later bars can still change the outcome. */
    public function isAlive(): bool
    {
        return $this === self::Waiting || $this === self::Open;
    }
}
