<?php

declare(strict_types=1);

namespace App\Data;

use App\Models\SetupKind;

/** An author's own kind of setup. */
final readonly class SetupKindData
{
    /** @param list<SetupKindLineData> $checklist */
    public function __construct(public int $id, public string $name, public bool $hasDefaults, public array $checklist)
    {
    }

    public static function of(SetupKind $kind): self
    {
        return new self($kind->id, $kind->name, $kind->template !== null, array_map(static fn (array $line): SetupKindLineData => new SetupKindLineData($line['kind'], $line['value']), $kind->checklist));
    }
}
