<?php

declare(strict_types=1);

namespace App\Planning;

use App\Actions\BeginPlan;
use App\Clock\MarketClock;
use App\Enums\PlanKind;
use App\Models\Plan;
use App\Models\User;
use Illuminate\Support\Facades\Auth;
use Watchpost\Core\Market\ExchangeCalendar;

/**
 * The draft in hand: of several the one that the person who works on it chose, else the latest. A draft whose session has
 * opened meanwhile moves on to the next one, since a plan comes before its session, unless its author said otherwise.
 */
final readonly class CurrentPlan
{
    public function __construct(private MarketClock $clock, private ExchangeCalendar $calendar, private PlanDates $dates, private BeginPlan $begin)
    {
    }

    public function of(User $author): Plan
    {
        $plan = $this->chosen($author) ?? Plan::drafts($author)->latest('id')->first() ?? ($this->begin)($author, PlanKind::Daily);
        if ($plan->session_date < $this->calendar->opening($this->clock->moment())->date && ! ($plan->is_late && $this->dates->isRunning($plan->session_date))) {
            $plan->update(['is_late' => false] + $this->dates->next($plan->kind));
        }

        return $plan;
    }

    private function chosen(User $author): ?Plan
    {
        $person = Auth::user();

        return $person instanceof User && $person->chosen_plan_id !== null ? Plan::drafts($author)->whereKey($person->chosen_plan_id)->first() : null;
    }
}
