<?php

declare(strict_types=1);

namespace App\Enums;

enum MarketRunState: string
{
    case Queued = 'queued';
    case Running = 'running';
    case Done = 'done';
    case Cancelled = 'cancelled';
    case Failed = 'failed';
}
