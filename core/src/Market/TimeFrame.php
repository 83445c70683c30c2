<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** The length of a bar. */
enum TimeFrame: string
{
    case FiveMinutes = '5m';
    case ThirtyMinutes = '30m';
    case Hour = '1h';
    case FourHours = '4h';
    case Day = '1d';
    case Week = '1w';
    case Month = '1mo';
    case Quarter = '3mo';

    /** Length in seconds of a bar inside a session; null for a session and longer. */
    public function seconds(): ?int
    {
        return match ($this) {
            self::FiveMinutes => 300,
            self::ThirtyMinutes => 1_800,
            self::Hour => 3_600,
            self::FourHours => 14_400,
            default => null,
        };
    }

    public function isFinerThan(self $other): bool
    {
        return $this->rank() < $other->rank();
    }

    private function rank(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
