<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\LadderRowKind;
use App\Enums\LevelGrade;

/** A price on the ladder, with all that is said beside it. */
final readonly class LadderRowData
{
    /**
     * @param float  $value   the price, for drawing
     * @param string $percent distance from the last close
     */
    public function __construct(
        public string $key,
        public LadderRowKind $kind,
        public string $label,
        public string $price,
        public float $value,
        public string $percent,
        public ?string $atr,
        public ?string $r,
        public ?int $levelId,
        public ?LevelGrade $grade,
        public ?int $target,
    ) {
    }
}
