<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Setups\Checklist\Standing;

/** A line of a checklist: judged by the program, with the value it found, or ticked by a person. */
final readonly class ChecklistLineData
{
    public function __construct(public string $text, public Standing $standing, public string $value, public bool $judged)
    {
    }
}
