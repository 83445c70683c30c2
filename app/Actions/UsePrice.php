<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\PlanPrice;
use App\Market\BarRepository;
use App\Planning\Variant;

/** Makes a price, that of a level say, into the entry, the stop or a target. */
final readonly class UsePrice
{
    public function __construct(private BarRepository $bars)
    {
    }

    /** @param int $price in units, on the tick */
    public function __invoke(Variant $variant, int $price, PlanPrice $as): void
    {
        $draft = $variant->draft();
        $close = $this->bars->lastClose($variant->candidate->instrument) ?? $price;
        $after = match ($as) {
            PlanPrice::Entry => $draft->withEntry($price, $close),
            PlanPrice::Stop => $draft->withStop($price, $close),
            PlanPrice::Target => $draft->withTarget($price),
        };
        $variant->keep($after, $as->value, match ($as) {
            PlanPrice::Entry => 'entry.price',
            PlanPrice::Stop => 'stop.price',
            PlanPrice::Target => null, // the problem names the target itself
        });
    }
}
