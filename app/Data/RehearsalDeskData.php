<?php

declare(strict_types=1);

namespace App\Data;

/** What a setup can be rehearsed at, and its last rehearsal. */
final readonly class RehearsalDeskData
{
    /**
     * @param list<string> $choices the kinds of level its entry stands at, in words
     * @param int          $others  how many other instruments of its group there are
     */
    public function __construct(public array $choices, public string $group, public int $others, public ?RehearsalData $last)
    {
    }
}
