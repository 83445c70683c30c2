<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** Why a level is laid aside by itself. */
enum RetirementReason: string
{
    case Broken = 'broken';
    case Far = 'far';
    case Filled = 'filled';
}
