<?php

declare(strict_types=1);

namespace App\Reading;

use App\Clock\MarketClock;
use App\Market\Calendars;
use App\Market\Events;
use App\Models\Instrument;
use App\Models\MarketEvent;

/** How many sessions away the next earnings of an instrument are. */
final readonly class EarningsAhead
{
    public function __construct(private Events $events, private Calendars $calendars, private MarketClock $clock)
    {
    }

    /** @return array{MarketEvent, int}|null the event and sessions to it: 0 for today, 1 for the next session; null for none in sight */
    public function of(Instrument $instrument): ?array
    {
        $calendar = $this->calendars->of($instrument);
        $now = $this->clock->moment();
        $next = $this->events->nextEarnings($instrument, $calendar->dateOf($now));
        if ($next === null) {
            return null;
        }
        $from = ($calendar->running($now) ?? $calendar->opening($now))->date;

        return [$next, $next->date < $from ? 0 : count([...$calendar->between($from, $next->date)])];
    }
}
