<?php

declare(strict_types=1);

namespace App\Enums;

/** What a plan is for; its kind decides its length and the parts it begins with. */
enum PlanKind: string
{
    case Daily = 'daily';
    case Weekly = 'weekly';
    case BeforeOpen = 'before_open';
    case Single = 'single';
    case Review = 'review';

    public function label(): string
    {
        return match ($this) {
            self::Daily => 'Daily plan',
            self::Weekly => 'Weekly plan',
            self::BeforeOpen => 'Before the open',
            self::Single => 'One instrument',
            self::Review => 'Review',
        };
    }

    /** Whether it is for all sessions of a week. */
    public function isForWeek(): bool
    {
        return $this === self::Weekly;
    }

    /** Whether it must hold a setup or a reason against one. */
    public function needsCandidates(): bool
    {
        return $this !== self::Review;
    }
}
