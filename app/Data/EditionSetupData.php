<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\Side;

/** A setup as it stands in the sealed edition. */
final readonly class EditionSetupData
{
    /**
     * @param string           $name    of the variant; empty for the only one
     * @param string           $kind    the author's own name for it; empty without one
     * @param list<ChecklistLineData> $checklist as it stood when it was published
     * @param list<string>     $lines   all that the sentence says, a line for each thing
     * @param list<FigureData> $size    for the reader's own account; empty while it is not told
     * @param list<string>     $entries planned prices of the parts of the entry that have one
     * @param list<TargetData> $targets
     */
    public function __construct(
        public string $key,
        public string $name,
        public string $kind,
        public array $checklist,
        public Side $side,
        public string $trigger,
        public string $sentence,
        public array $lines,
        public array $entries,
        public string $stop,
        public ?string $cancel,
        public array $targets,
        public string $risk,
        public string $goodUntil,
        public ?OptionData $option,
        public array $size,
        public RScaleData $scale,
        public StripData $planned,
        public ?FollowedData $followed,
    ) {
    }
}
