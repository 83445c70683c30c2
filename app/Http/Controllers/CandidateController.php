<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddCandidate;
use App\Actions\JudgeCandidate;
use App\Actions\MoveCandidate;
use App\Actions\NoteSource;
use App\Actions\OrderCandidates;
use App\Actions\RemoveCandidate;
use App\Actions\TakeSide;
use App\Data\InstrumentData;
use App\Enums\CandidateOrder;
use App\Enums\CandidateSource;
use App\Enums\CandidateState;
use App\Enums\NoTrade;
use App\Http\Requests\JudgeCandidateRequest;
use App\Models\Candidate;
use App\Models\Instrument;
use App\Planning\CandidatePresenter;
use App\Planning\CurrentPlan;
use App\Planning\PriceInput;
use App\Planning\WorkbenchPresenter;
use App\Reading\CandidateFacts;
use App\Reading\Peers;
use App\Subscribers\Requests;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use Watchpost\Core\Setups\Side;

final class CandidateController extends Controller
{
    private const MOST_FOUND = 12;

    public function index(Request $request, CurrentPlan $current, WorkbenchPresenter $presenter, CandidatePresenter $candidates, CandidateFacts $facts, Peers $peers, Requests $requests): Response
    {
        $plan = $current->of($this->author($request));

        return Inertia::render('Candidates', [
            'plan' => fn () => $presenter->plan($plan),
            'candidates' => fn () => $candidates->board($plan),
            'facts' => Inertia::defer(fn () => (object) $plan->candidates()->with('instrument')->get()->mapWithKeys(static fn (Candidate $candidate): array => [$candidate->id => $facts->brief($candidate->instrument, $plan->author)])->all()),
            'leaders' => Inertia::defer(fn () => (object) $peers->leaders()),
            'requests' => fn () => $requests->waiting(),
        ]);
    }

    /** Instruments by the beginning of their symbol or a part of their name. */
    public function search(Request $request): JsonResponse
    {
        $text = addcslashes($request->string('q')->trim()->value(), '%_\\');
        $found = Instrument::query()
            ->where('symbol', 'like', strtoupper($text).'%')
            ->orWhere('name', 'like', "%{$text}%")
            ->orderBy('symbol')
            ->limit(self::MOST_FOUND)
            ->get();

        return new JsonResponse($found->map(InstrumentData::of(...))->values());
    }

    public function store(Request $request, CurrentPlan $current, AddCandidate $add): RedirectResponse
    {
        $request->validate(['instrument' => ['required', 'integer', 'exists:instruments,id'], 'note' => ['nullable', 'string', 'max:120'], 'source' => ['nullable', Rule::in([CandidateSource::Typed->value, CandidateSource::Scan->value])]]);
        $add($current->of($this->author($request)), Instrument::query()->findOrFail($request->integer('instrument')), $request->enum('source', CandidateSource::class) ?? CandidateSource::Typed, $request->string('note')->value());

        return back();
    }

    public function judge(JudgeCandidateRequest $request, Candidate $candidate, JudgeCandidate $judge): RedirectResponse
    {
        $this->authorize('update', $candidate);
        $typed = $request->string('would_change')->trim()->value();
        $judge(
            $candidate,
            $request->enum('state', CandidateState::class) ?? $candidate->state,
            $request->string('reason')->value(),
            $request->string('readers')->value(),
            $request->enum('no_trade', NoTrade::class) ?? $candidate->no_trade,
            $request->has('would_change')
                ? ($typed === '' ? null : (new PriceInput($candidate->instrument->grid()))->price($typed, 'would_change'))
                : $candidate->would_change,
            $request->has('theme') ? $request->string('theme')->value() : null,
        );

        return back();
    }

    public function move(Request $request, Candidate $candidate, MoveCandidate $move): RedirectResponse
    {
        $this->authorize('update', $candidate);
        $request->validate(['place' => ['required', 'integer', 'min:0']]);
        $move($candidate, $request->integer('place'));

        return back();
    }

    /** The candidate beside those of its industry. */
    public function beside(Candidate $candidate, Peers $peers): JsonResponse
    {
        $this->authorize('update', $candidate);

        return new JsonResponse($peers->of($candidate, $candidate->plan->author));
    }

    public function side(Request $request, Candidate $candidate, TakeSide $take): RedirectResponse
    {
        $this->authorize('update', $candidate);
        $request->validate(['side' => ['present', 'nullable', Rule::enum(Side::class)]]);
        $take($candidate, $request->enum('side', Side::class));

        return back();
    }

    public function source(Request $request, Candidate $candidate, NoteSource $note): RedirectResponse
    {
        $this->authorize('update', $candidate);
        $request->validate(['note' => ['present', 'nullable', 'string', 'max:120']]);
        $note($candidate, $request->string('note')->value());

        return back();
    }

    public function order(Request $request, CurrentPlan $current, OrderCandidates $order): RedirectResponse
    {
        $request->validate(['by' => ['required', Rule::enum(CandidateOrder::class)]]);
        $order($current->of($this->author($request)), CandidateOrder::from($request->string('by')->value()));

        return back();
    }

    public function destroy(Candidate $candidate, RemoveCandidate $remove): RedirectResponse
    {
        $this->authorize('update', $candidate);
        $remove($candidate);

        return back();
    }
}
