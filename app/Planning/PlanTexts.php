<?php

declare(strict_types=1);

namespace App\Planning;

use App\Data\PlanKindPartsData;
use App\Data\PlanPartData;
use App\Data\PlanPartsSettingsData;
use App\Data\PlanPartTitleData;
use App\Enums\PartRole;
use App\Enums\PlanKind;
use App\Models\Plan;
use App\Models\User;

/** Shows the texts of a plan while they are written, and what a plan begins with. */
final class PlanTexts
{
    /** @return list<PlanPartData> */
    public function of(Plan $plan): array
    {
        $required = PlanParts::of($plan->author)->required;

        return array_map(static fn (array $part): PlanPartData => new PlanPartData(
            $part['id'],
            PartRole::from($part['role']),
            $part['title'],
            $part['text'],
            $part['place'],
            $part['readers'],
            in_array(PartRole::from($part['role']), $required, true),
        ), $plan->parts);
    }

    public function settings(User $author): PlanPartsSettingsData
    {
        $parts = PlanParts::of($author);

        return new PlanPartsSettingsData(
            array_map(static fn (PlanKind $kind): PlanKindPartsData => new PlanKindPartsData($kind, $kind->label(), array_map(static fn (array $part): PlanPartTitleData => new PlanPartTitleData($part['title'], $part['place']), $parts->titles[$kind->value] ?? [])), PlanKind::cases()),
            $parts->disclaimer,
            $parts->required,
        );
    }
}
