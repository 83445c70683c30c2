<?php

declare(strict_types=1);

namespace App\Enums;

/** How an author says that a candidate is no trade: that is a plan too. */
enum NoTrade: string
{
    case Pass = 'pass';
    case StandAside = 'stand_aside';
    case DoNotChase = 'do_not_chase';
    case WatchOnly = 'watch_only';

    public function label(): string
    {
        return match ($this) {
            self::Pass => 'Passed',
            self::StandAside => 'Stand aside',
            self::DoNotChase => 'Do not chase',
            self::WatchOnly => 'Watch only',
        };
    }

    /** "Stand aside: no level is near. 47.90 would change that." */
    public function sentence(string $reason, ?string $wouldChange): string
    {
        $reason = rtrim($reason, '. ');

        return "{$this->label()}: {$reason}.".($wouldChange === null ? '' : " {$wouldChange} would change that.");
    }
}
