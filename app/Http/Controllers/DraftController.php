<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\BeginPlan;
use App\Actions\ChangePlan;
use App\Actions\DiscardPlan;
use App\Enums\PlanKind;
use App\Models\Plan;
use App\Models\User;
use App\Planning\CurrentPlan;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The drafts of an author: begun, taken in hand, given another session, thrown away. */
final class DraftController extends Controller
{
    public function begin(Request $request, BeginPlan $begin): RedirectResponse
    {
        $request->validate(['kind' => ['required', Rule::enum(PlanKind::class)]]);
        $plan = $begin($this->author($request), $request->enum('kind', PlanKind::class) ?? PlanKind::Daily);

        return $this->inHand($request, $plan);
    }

    public function choose(Request $request, Plan $plan): RedirectResponse
    {
        $this->authorize('write', $plan);
        abort_unless($plan->isDraft(), 409, 'This plan is published: there is nothing to draft any more.');

        return $this->inHand($request, $plan);
    }

    public function session(Request $request, CurrentPlan $current, ChangePlan $change): RedirectResponse
    {
        $request->validate(['session' => ['required', 'date_format:Y-m-d']]);
        $change($current->of($this->author($request)), $request->string('session')->value());

        return back();
    }

    public function discard(Plan $plan, DiscardPlan $discard): RedirectResponse
    {
        $this->authorize('write', $plan);
        $discard($plan);

        return back()->with('notice', 'The draft is thrown away. Its levels live on.');
    }

    private function inHand(Request $request, Plan $plan): RedirectResponse
    {
        $user = $request->user();
        if ($user instanceof User) {
            $user->update(['chosen_plan_id' => $plan->id]);
        }

        return back();
    }
}
