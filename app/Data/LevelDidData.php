<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\LevelGrade;
use App\Enums\LevelStanding;
use Watchpost\Core\Levels\ReactionKind;
use Watchpost\Core\Market\TimeFrame;

/** How one level did. */
final readonly class LevelDidData
{
    /** @param string $reaction in words */
    public function __construct(
        public int $id,
        public string $symbol,
        public string $words,
        public string $origin,
        public LevelGrade $grade,
        public TimeFrame $timeFrame,
        public string $markedOn,
        public string $markedOnDate,
        public LevelStanding $standing,
        public ReactionKind $did,
        public string $reaction,
    ) {
    }
}
