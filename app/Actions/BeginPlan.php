<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\PlanKind;
use App\Models\Plan;
use App\Models\User;
use App\Planning\PlanDates;
use App\Planning\PlanParts;

/** Begins a plan of a kind with the texts that belong to it, for the next session or week. */
final readonly class BeginPlan
{
    public function __construct(private PlanDates $dates)
    {
    }

    public function __invoke(User $author, PlanKind $kind): Plan
    {
        return Plan::query()->create([
            'author_id' => $author->id,
            'kind' => $kind,
            'bias' => '',
            'parts' => PlanParts::of($author)->begin($kind),
            'change_position' => 0,
        ] + $this->dates->next($kind))->refresh();
    }
}
