<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\PublishPlan;
use App\Actions\WriteBias;
use App\Clock\MarketClock;
use App\Data\CheckLineData;
use App\Models\Candidate;
use App\Models\Edition;
use App\Models\Plan;
use App\Models\PlanChange;
use App\Planning\CurrentPlan;
use App\Planning\PlanHistory;
use App\Planning\PlanTexts;
use App\Planning\WorkbenchPresenter;
use App\Publishing\EditionComposer;
use App\Publishing\EditionPresenter;
use App\Publishing\PublicationCheck;
use App\Subscribers\Tiers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class PlanController extends Controller
{
    public function __construct(private readonly CurrentPlan $current)
    {
    }

    public function preview(
        Request $request,
        WorkbenchPresenter $presenter,
        PublicationCheck $check,
        EditionComposer $composer,
        EditionPresenter $editions,
        MarketClock $clock,
        Tiers $tiers,
        PlanTexts $texts,
    ): Response {
        $plan = $this->plan($request);
        $lines = $check->lines($plan);
        $notReady = array_values(array_filter(array_map(static fn (CheckLineData $line): ?int => $line->stops ? $line->candidateId : null, $lines)));
        $tier = $tiers->all()->firstWhere('key', $request->string('tier')->value()) ?? $tiers->highest();
        $previous = Edition::query()->orderByDesc('number')->first();

        return Inertia::render('Publish', [
            'plan' => $presenter->plan($plan),
            'check' => $lines,
            'tier' => $tier->key,
            'notReady' => count($notReady),
            'texts' => $texts->of($plan),
            'usual' => $texts->settings($plan->author),
            'edition' => $editions->preview($composer->compose($plan, $previous, $clock->moment(), $notReady), $tiers->reader($tier)),
        ]);
    }

    public function publish(Request $request, PublishPlan $publish): RedirectResponse
    {
        $plan = Plan::query()->findOrFail($request->integer('plan'));
        abort_unless($this->author($request)->id === $plan->author_id, 403);
        $edition = $publish($plan);

        return redirect("/editions/{$edition->number}")->with('notice', "Edition {$edition->number} is published and sealed.");
    }

    public function bias(Request $request, WriteBias $write): RedirectResponse
    {
        $request->validate(['bias' => ['present', 'nullable', 'string', 'max:400'], 'was' => ['sometimes', 'nullable', 'string', 'max:400']]);
        $write($this->plan($request), $request->string('bias')->value(), $request->has('was') ? $request->string('was')->value() : null);

        return back();
    }

    public function undo(Request $request): JsonResponse
    {
        $plan = $this->plan($request);

        return $this->changed($plan, PlanHistory::undo($plan), 'Undone');
    }

    public function redo(Request $request): JsonResponse
    {
        $plan = $this->plan($request);

        return $this->changed($plan, PlanHistory::redo($plan), 'Done again');
    }

    private function changed(Plan $plan, ?PlanChange $change, string $word): JsonResponse
    {
        return new JsonResponse([
            'message' => $change === null ? null : "{$word}: {$change->label}.",
            'candidateId' => $change === null ? null : Candidate::query()->where(['plan_id' => $plan->id, 'instrument_id' => $change->instrument_id])->value('id'),
        ]);
    }

    private function plan(Request $request): Plan
    {
        return $this->current->of($this->author($request));
    }
}
