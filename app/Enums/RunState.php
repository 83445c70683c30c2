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

    /** @return list<self> of work that is not at its end */
    public static function underWay(): array
    {
        return [self::Queued, self::Running];
    }

    public function isUnderWay(): bool
    {
        return in_array($this, self::underWay(), true);
    }
}
