<?php

declare(strict_types=1);

namespace App\Enums;

/** Where a request for a symbol stands. */
enum RequestState: string
{
    case Open = 'open';
    /** On the list of a plan. */
    case Taken = 'taken';
    /** An edition says something of it. */
    case Answered = 'answered';
    case Declined = 'declined';

    public function isWaiting(): bool
    {
        return $this === self::Open || $this === self::Taken;
    }
}
