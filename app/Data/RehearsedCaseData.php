<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\Side;

/** One case of a rehearsal on its chart: as of its evening, and what happened since. */
final readonly class RehearsedCaseData
{
    /**
     * @param string                 $standsAt what kind of level it stood at
     * @param list<string>           $entries  planned prices of the parts of the entry that have one
     * @param list<string>           $targets
     * @param int                    $after    bars from its evening to its end
     * @param list<OutcomeEventData> $events
     */
    public function __construct(
        public int $number,
        public int $of,
        public int $candidate,
        public string $symbol,
        public string $name,
        public string $date,
        public string $standsAt,
        public string $level,
        public Side $side,
        public string $sentence,
        public array $entries,
        public string $stop,
        public array $targets,
        public ChartData $chart,
        public int $after,
        public string $what,
        public ?string $r,
        public StripData $strip,
        public array $events,
    ) {
    }
}
