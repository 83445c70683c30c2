<?php

declare(strict_types=1);

namespace App\Planning;

use App\Market\Calendars;
use App\Models\Instrument;
use App\Models\Plan;

/** How long a setup is good for, counted in the sessions of its own instrument. */
final readonly class GoodUntil
{
    public function __construct(private Calendars $calendars)
    {
    }

    /** The close of the n-th session from that of the plan on. */
    public function of(Plan $plan, Instrument $instrument, int $sessions): int
    {
        return $this->calendars->of($instrument)->countedFrom($plan->session_date, $sessions)->close;
    }

    /** The close of a contract's last session; null for what has no end. */
    public function endOf(Instrument $instrument): ?int
    {
        return $instrument->last_session === null ? null : $this->calendars->of($instrument)->countedFrom($instrument->last_session, 1)->close;
    }
}
