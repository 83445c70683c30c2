<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Plan;
use App\Models\PlanChange;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Which state of a plan the person who asks for a change had before their eyes. */
final readonly class Seen
{
    public const HEADER = 'X-Plan-Revision';

    public function __construct(private Request $request)
    {
    }

    /** Refuses a change of an instrument that someone else changed meanwhile. */
    public function check(Plan $plan, ?int $instrumentId, string $label): void
    {
        $seen = $this->request->header(self::HEADER);
        $user = Auth::user();
        if (! is_string($seen) || preg_match('/^(\d+):(\d+)$/D', $seen, $of) !== 1 || (int) $of[1] !== $plan->id || ! $user instanceof User || $instrumentId === null) {
            return;
        }
        $since = PlanChange::query()->with('user')
            ->where('plan_id', $plan->id)
            ->where('revision', '>', (int) $of[2])
            ->where('instrument_id', $instrumentId)
            ->whereNot('user_id', $user->id)
            ->orderBy('revision')
            ->get();
        if ($since->isNotEmpty()) {
            throw StaleChange::refuse($since->last()?->user->name ?? 'Someone', array_values($since->map(static fn (PlanChange $change): string => $change->label)->all()), $label);
        }
    }
}
