<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\PlanKind;

/** The texts that a plan of a kind begins with. */
final readonly class PlanKindPartsData
{
    /** @param list<PlanPartTitleData> $titles */
    public function __construct(public PlanKind $kind, public string $label, public array $titles)
    {
    }
}
