<?php

declare(strict_types=1);

namespace App\Enums;

enum DeliveryState: string
{
    case Queued = 'queued';
    case Sending = 'sending';
    case Sent = 'sent';
    /** Tried as often as it is tried by itself. */
    case Failed = 'failed';
}
