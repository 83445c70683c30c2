<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\PlanKind;

/** One of the drafts an author has. */
final readonly class DraftData
{
    public function __construct(public int $id, public string $label, public PlanKind $kind)
    {
    }
}
