<?php

declare(strict_types=1);

namespace App\Data;

/** A session to come, in the exchange's time and in UTC. */
final readonly class SessionData
{
    public function __construct(public string $day, public string $hours, public string $utc, public string $note)
    {
    }
}
