<?php

declare(strict_types=1);

namespace App\Data;

/** A field of an import, and the column that holds it. */
final readonly class ImportColumnData
{
    /** @param int|null $column from 0; null for none */
    public function __construct(public string $field, public ?int $column, public bool $needed)
    {
    }
}
