<?php

declare(strict_types=1);

namespace App\Enums;

use Watchpost\Core\Levels\LevelState;

/** Where a level of an author stands: what price made of it, or that it is laid aside. */
enum LevelStanding: string
{
    case Active = 'active';
    case Tested = 'tested';
    case Broken = 'broken';
    case RoleChanged = 'role changed';
    case Retired = 'retired';

    public static function of(LevelState $state): self
    {
        return match ($state) {
            LevelState::Active => self::Active,
            LevelState::Tested => self::Tested,
            LevelState::Broken => self::Broken,
            LevelState::RoleChanged => self::RoleChanged,
        };
    }
}
