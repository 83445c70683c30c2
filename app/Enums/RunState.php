<?php

declare(strict_types=1);

namespace App\Enums;

/** How far work in the queue has come. */
enum RunState: string
{
    case Queued = 'queued';
    case Running = 'running';
    case Done = 'done';
    case Cancelled = 'cancelled';
    case Failed = 'failed';

    public function isUnderWay(): bool
    {
        return $this === self::Queued || $this === self::Running;
    }
}
