<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\Agreement;
use App\Enums\LadderRowKind;
use App\Enums\LevelForm;
use App\Enums\LevelGrade;
use App\Enums\LevelLayer;
use App\Enums\LevelStanding;
use Watchpost\Core\Market\TimeFrame;

/** A price on the ladder, with all that is said beside it. */
final readonly class LadderRowData
{
    /**
     * @param string           $price   of a zone, the edge that price comes to first
     * @param float            $value   the same, for drawing
     * @param float            $low     edges, for drawing
     * @param string           $percent distance from the last close
     * @param string           $span    both edges of a zone as they are read, else empty
     * @param int              $touches how often price came to it
     * @param list<float|null> $curve   of what moves: its value at the last day bars, the last of them at the next one; else empty
     * @param list<float|null> $upper   of a channel, the same of its upper line; else empty
     */
    public function __construct(
        public string $key,
        public LadderRowKind $kind,
        public string $label,
        public string $price,
        public float $value,
        public float $low,
        public float $high,
        public string $span,
        public string $percent,
        public ?string $atr,
        public ?string $r,
        public ?int $levelId,
        public ?LevelGrade $grade,
        public ?int $target,
        public ?LevelLayer $layer,
        public ?LevelForm $form,
        public ?TimeFrame $timeFrame,
        public ?LevelStanding $standing,
        public ?Agreement $agreement,
        public int $touches,
        public bool $movable,
        public array $curve,
        public array $upper,
    ) {
    }
}
