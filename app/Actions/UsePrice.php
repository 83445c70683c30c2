<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\PlanPrice;
use App\Market\BarRepository;
use App\Models\Candidate;
use App\Planning\DraftSetups;

/** Makes a price, that of a level say, into the entry, the stop or a target. */
final readonly class UsePrice
{
    public function __construct(private BarRepository $bars)
    {
    }

    /** @param int $price in units, on the tick */
    public function __invoke(Candidate $candidate, int $price, PlanPrice $as): void
    {
        $draft = DraftSetups::of($candidate);
        $close = $this->bars->lastClose($candidate->instrument) ?? $price;
        $after = match ($as) {
            PlanPrice::Entry => $draft->withEntry($price, $close),
            PlanPrice::Stop => $draft->withStop($price, $close),
            PlanPrice::Target => $draft->withTarget($price),
        };
        DraftSetups::keep($candidate, $after, $as->value, match ($as) {
            PlanPrice::Entry => 'entry.price',
            PlanPrice::Stop => 'stop.price',
            PlanPrice::Target => null, // the problem names the target itself
        });
    }
}
