<?php

declare(strict_types=1);

namespace App\Data;

final readonly class PreviewRowData
{
    /** @param list<string> $values in the order of the names */
    public function __construct(public array $values)
    {
    }
}
