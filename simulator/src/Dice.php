<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Random\Engine\Xoshiro256StarStar;

/** A stream of chance that depends on its seed words alone: the same words always give the same numbers. */
final class Dice
{
    private readonly Xoshiro256StarStar $engine;

    private ?float $spare = null;

    public function __construct(string ...$words)
    {
        $this->engine = new Xoshiro256StarStar(hash('sha256', implode('/', $words), true));
    }

    /** Uniform in [0, 1). */
    public function uniform(): float
    {
        /** @var array{1: int} $word */
        $word = unpack('P', $this->engine->generate());

        return ($word[1] >> 11 & 0x1FFFFFFFFFFFFF) / 9007199254740992;
    }

    /** Uniform in [from, to). */
    public function between(float $from, float $to): float
    {
        return $from + ($to - $from) * $this->uniform();
    }

    /** Standard normal (Box and Muller). */
    public function normal(): float
    {
        if ($this->spare !== null) {
            $value = $this->spare;
            $this->spare = null;

            return $value;
        }
        $radius = sqrt(-2 * log(1 - $this->uniform()));
        $angle = 2 * M_PI * $this->uniform();
        $this->spare = $radius * sin($angle);

        return $radius * cos($angle);
    }
}
