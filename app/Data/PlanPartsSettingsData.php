<?php

declare(strict_types=1);

namespace App\Data;

use App\Enums\PartRole;

/** The texts that a kind of plan begins with, and those that every edition must hold. */
final readonly class PlanPartsSettingsData
{
    /**
     * @param list<PlanKindPartsData> $kinds
     * @param list<PartRole>          $required
     */
    public function __construct(public array $kinds, public string $disclaimer, public array $required)
    {
    }
}
