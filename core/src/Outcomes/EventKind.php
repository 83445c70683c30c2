<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

enum EventKind: string
{
    case Armed = 'armed';
    case Disarmed = 'disarmed';
    case Fill = 'fill';
    case Skipped = 'skipped';
    case Void = 'void';
    case Target = 'target';
    case Stop = 'stop';
    case Time = 'time';
    case OpenExit = 'open_exit';
    case Ended = 'ended';
    case Manual = 'manual';
    case StopMoved = 'stop_moved';
    case Expired = 'expired';
    case Cancelled = 'cancelled';

    /** Whether it changes what is waited for or held, and is worth telling at once. */
    public function isTold(): bool
    {
        return ! in_array($this, [self::Armed, self::Disarmed, self::Skipped, self::StopMoved], true);
    }

    /** Whether some of the position was given up with it. */
    public function isExit(): bool
    {
        return match ($this) {
            self::Target, self::Stop, self::Time, self::OpenExit, self::Ended, self::Manual => true,
            default => false,
        };
    }
}
