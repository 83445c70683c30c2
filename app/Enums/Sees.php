<?php

declare(strict_types=1);

namespace App\Enums;

/** How much of a candidate a tier sees; each holds all that the one before it does. */
enum Sees: string
{
    case Nothing = 'nothing';
    /** Which instrument, and on which side. */
    case Headline = 'headline';
    /** And the author's levels, on a chart. */
    case Levels = 'levels';
    case Full = 'full';

    public function atLeast(self $other): bool
    {
        return array_search($this, self::cases(), true) >= array_search($other, self::cases(), true);
    }
}
