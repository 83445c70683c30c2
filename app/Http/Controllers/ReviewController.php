<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CarryOver;
use App\Actions\LetGo;
use App\Actions\PostUpdate;
use App\Actions\ReviewSetup;
use App\Enums\ReasonJudgement;
use App\Enums\Relation;
use App\Enums\ResultJudgement;
use App\Http\Requests\UpdateRequest;
use App\Models\PublishedSetup;
use App\Models\User;
use App\Planning\CurrentPlan;
use App\Planning\WorkbenchPresenter;
use App\Publishing\EditionPresenter;
use App\Reviewing\ReviewPresenter;
use App\Subscribers\Tiers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use Watchpost\Core\Setups\UpdateKind;

/** The step Review: what came of what was published, and what becomes of it. */
final class ReviewController extends Controller
{
    public function __construct(private readonly CurrentPlan $current)
    {
    }

    public function index(Request $request, ReviewPresenter $presenter, WorkbenchPresenter $plans): Response
    {
        $plan = $this->current->of($this->author($request));

        return Inertia::render('Review', [
            'plan' => fn () => $plans->plan($plan),
            'review' => fn () => $presenter->of($plan),
        ]);
    }

    /** The chart of a published setup, from before its publication to now. */
    public function chart(PublishedSetup $published, EditionPresenter $editions, Tiers $tiers): JsonResponse
    {
        $this->authorize('review', $published);

        return new JsonResponse($editions->ofOne($published, $tiers->whole()));
    }

    public function judge(Request $request, PublishedSetup $published, ReviewSetup $review): RedirectResponse
    {
        $this->authorize('review', $published);
        $request->validate([
            'reason' => ['present', 'nullable', Rule::enum(ReasonJudgement::class)],
            'result' => ['present', 'nullable', Rule::enum(ResultJudgement::class)],
            'note' => ['present', 'nullable', 'string', 'max:400'],
        ]);
        $review($published, $request->enum('reason', ReasonJudgement::class), $request->enum('result', ResultJudgement::class), $request->string('note')->value());

        return back();
    }

    public function carry(Request $request, PublishedSetup $published, CarryOver $carry): RedirectResponse
    {
        $this->authorize('review', $published);
        $request->validate(['relation' => ['required', Rule::enum(Relation::class)]]);
        $carry($this->current->of($this->author($request)), $published, $request->enum('relation', Relation::class) ?? Relation::Still);

        return back();
    }

    public function letGo(Request $request, PublishedSetup $published, LetGo $letGo): RedirectResponse
    {
        $this->authorize('review', $published);
        $request->validate(['let_go' => ['required', 'boolean']]);
        $letGo($published, $request->boolean('let_go'));

        return back();
    }

    public function update(UpdateRequest $request, PublishedSetup $published, PostUpdate $post): RedirectResponse
    {
        $this->authorize('review', $published);
        $user = $request->user();
        abort_unless($user instanceof User, 403);
        $post(
            $published,
            $user,
            $request->enum('kind', UpdateKind::class) ?? UpdateKind::Note,
            $request->string('price')->value(),
            $request->filled('number') ? $request->integer('number') : null,
            $request->string('share')->value(),
            $request->string('text')->value(),
        );

        return back()->with('notice', "The update to {$published->instrument->symbol} is public.");
    }
}
