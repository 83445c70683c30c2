<?php

declare(strict_types=1);

namespace App\Planning;

use App\Clock\MarketClock;
use App\Models\Plan;
use App\Models\User;
use Watchpost\Core\Market\ExchangeCalendar;

/**
 * The draft an author works on: the plan of the next session. A draft whose session has opened meanwhile moves on to
 * the next one, since a plan comes before its session.
 */
final readonly class CurrentPlan
{
    public function __construct(private MarketClock $clock, private ExchangeCalendar $calendar)
    {
    }

    public function of(User $author): Plan
    {
        $next = $this->calendar->opening($this->clock->moment())->date;
        $plan = Plan::query()->where('author_id', $author->id)->whereNull('published_at')->latest('id')->first();
        if ($plan === null) {
            return Plan::query()->create(['author_id' => $author->id, 'session_date' => $next, 'bias' => '', 'change_position' => 0]);
        }
        if ($plan->session_date < $next) {
            $plan->update(['session_date' => $next]);
        }

        return $plan;
    }
}
