<?php

declare(strict_types=1);

namespace App\Enums;

use Watchpost\Core\Levels\FoundLevel;
use Watchpost\Core\Levels\LevelKind;

/** What can be shown and hidden together on the chart and on the ladder. */
enum LevelLayer: string
{
    case Own = 'own';
    case Check = 'check';
    case Joined = 'joined';
    case Marks = 'marks';
    case Gaps = 'gaps';
    case Pivots = 'pivots';
    case Ratios = 'ratios';
    case Averages = 'averages';
    case Vwap = 'vwap';
    case Rounds = 'rounds';

    public static function of(FoundLevel $found): self
    {
        return match ($found->kind) {
            LevelKind::Zone, LevelKind::Line => self::Check,
            LevelKind::Confluence => self::Joined,
            LevelKind::Period => self::Marks,
            LevelKind::Gap => self::Gaps,
            LevelKind::Pivot => self::Pivots,
            LevelKind::Retracement, LevelKind::Projection => self::Ratios,
            LevelKind::Average => str_starts_with($found->origin, 'VWAP') ? self::Vwap : self::Averages,
            LevelKind::Round, LevelKind::ExpectedRange => self::Rounds,
        };
    }
}
