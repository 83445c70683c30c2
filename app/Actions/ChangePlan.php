<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Plan;
use App\Planning\PlanDates;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Market\Session;

/** Says for which session, or from which session of a week on, a plan is. One that is running is chosen knowingly: the edition says that it came after the open. */
final readonly class ChangePlan
{
    public function __construct(private PlanDates $dates)
    {
    }

    public function __invoke(Plan $plan, string $session): void
    {
        if (! in_array($session, array_map(static fn (Session $one): string => $one->date, $this->dates->choices($plan->kind)), true)) {
            throw ValidationException::withMessages(['session' => 'Choose a session that is still to come, or the one that is running.']);
        }
        $plan->update(['is_late' => $this->dates->isRunning($session)] + $this->dates->from($plan->kind, $session));
    }
}
