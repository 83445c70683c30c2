<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\LevelForm;
use App\Enums\LevelGrade;
use App\Enums\LevelStanding;
use Watchpost\Core\Levels\ReactionKind;
use Watchpost\Core\Market\TimeFrame;

/** Everything that is known of one level of the author. */
final readonly class LevelSheetData
{
    /**
     * @param string                $words    what it is, as it was marked
     * @param list<TouchData>       $touches  the latest first
     * @param list<LevelChangeData> $history  the latest first
     * @param list<string>          $ahead    of what moves: where it is expected, in words
     * @param string                $reaction how it did at its first touch after it was marked, in words
     */
    public function __construct(
        public int $id,
        public LevelForm $form,
        public string $words,
        public string $price,
        public ?string $low,
        public ?string $high,
        public ?PointData $from,
        public ?PointData $to,
        public ?PointData $parallel,
        public bool $logarithmic,
        public string $average,
        public ?int $period,
        public ?string $since,
        public string $origin,
        public string $mark,
        public ?string $markSession,
        public LevelGrade $grade,
        public TimeFrame $timeFrame,
        public string $note,
        public string $markedOn,
        public LevelStanding $standing,
        public string $retiredBecause,
        public ReactionKind $did,
        public string $reaction,
        public array $touches,
        public array $history,
        public array $ahead,
    ) {
    }
}
