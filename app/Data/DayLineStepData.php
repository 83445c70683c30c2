<?php

declare(strict_types=1);

namespace App\Data;

/** A step of the evening's work, as the day line shows it. */
final readonly class DayLineStepData
{
    public function __construct(public string $key, public string $label, public string $href, public string $note, public bool $done)
    {
    }
}
