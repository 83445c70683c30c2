<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

/** The temper of an instrument for some weeks. */
enum Phase: string
{
    case Rising = 'rising';
    case Falling = 'falling';
    case Ranging = 'ranging';
    case Calm = 'calm';
    case Wild = 'wild';
    case Runaway = 'runaway';

    public static function drawn(Dice $dice): self
    {
        $x = $dice->uniform();

        return match (true) {
            $x < 0.26 => self::Rising,
            $x < 0.46 => self::Falling,
            $x < 0.76 => self::Ranging,
            $x < 0.90 => self::Calm,
            default => self::Wild,
        };
    }

    /** Drift of a session, in usual session moves. */
    public function drift(): float
    {
        return match ($this) {
            self::Rising => 0.13,
            self::Falling => -0.13,
            self::Runaway => 0.45,
            default => 0.0,
        };
    }

    /** Session moves relative to the instrument's usual ones. */
    public function breadth(): float
    {
        return match ($this) {
            self::Calm => 0.6,
            self::Wild => 1.7,
            default => 1.0,
        };
    }

    /** Share of the distance to the middle of the range that is pulled back in a session. */
    public function pull(): float
    {
        return match ($this) {
            self::Ranging => 0.10,
            self::Calm => 0.06,
            default => 0.0,
        };
    }
}
