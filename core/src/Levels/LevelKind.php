<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** How a level was found. */
enum LevelKind: string
{
    case Zone = 'zone';
    case Period = 'period';
    case Gap = 'gap';
    case Pivot = 'pivot';
    case Retracement = 'retracement';
    case Projection = 'projection';
    case Line = 'line';
    case Average = 'average';
    case Round = 'round';
    case ExpectedRange = 'expected_range';
    case Confluence = 'confluence';
}
