<?php

declare(strict_types=1);

namespace App\Levels;

use App\Enums\LevelStanding;
use App\Models\Level;
use Watchpost\Core\Levels\Band;
use Watchpost\Core\Levels\Reaction;
use Watchpost\Core\Levels\Touch;

/** A level of an author as it stands on an evening: where it lies next, and what price has made of it. */
final readonly class LevelReading
{
    /**
     * @param string      $key     tells the rungs of one level apart
     * @param int         $low     where it is expected at the next bar, in units
     * @param list<Touch> $touches in order of time, also those before it was marked
     * @param list<Touch> $since   those after
     */
    public function __construct(
        public Level $level,
        public string $key,
        public string $label,
        public int $low,
        public int $high,
        public Band $band,
        public bool $moves,
        public array $touches,
        public array $since,
        public LevelStanding $standing,
        public Reaction $reaction,
    ) {
    }

    /** The edge that price comes to first; within, the middle. */
    public function nearEdge(int $close): int
    {
        return match (true) {
            $this->high < $close => $this->high,
            $this->low > $close => $this->low,
            default => $this->low === $this->high ? $this->low : $this->level->price,
        };
    }
}
