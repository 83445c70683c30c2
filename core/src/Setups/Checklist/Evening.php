<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Checklist;

use Watchpost\Core\Market\Series;
use Watchpost\Core\Setups\PlanFigures;

/** What a checklist is judged on: the setup as it is planned, and the day bars known on the evening. */
final readonly class Evening
{
    /**
     * @param PlanFigures|null $plan       null while entry or stop is missing
     * @param Series           $days       day bars
     * @param float|null       $range      average true range, in units
     * @param int|null         $earningsIn sessions to the next earnings, 1 for the next session; null for none in sight
     * @param int              $hold       sessions for which it is planned
     */
    public function __construct(public ?PlanFigures $plan, public Series $days, public ?float $range, public ?int $earningsIn, public int $hold)
    {
    }

    /** A distance in units, in usual ranges; null while these are unknown. */
    public function inRanges(float $units): ?float
    {
        return $this->range === null || $this->range <= 0.0 ? null : $units / $this->range;
    }
}
