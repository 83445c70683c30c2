<?php

declare(strict_types=1);

namespace App\Data;

/** What is wrong with a line of a file. */
final readonly class LineFaultData
{
    public function __construct(public int $line, public string $field, public string $reason, public string $text)
    {
    }
}
