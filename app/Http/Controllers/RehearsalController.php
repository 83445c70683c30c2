<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\CancelRehearsal;
use App\Actions\StartRehearsal;
use App\Enums\RehearsalScope;
use App\Models\Candidate;
use App\Models\Rehearsal;
use App\Planning\Workbench;
use App\Rehearsing\RehearsalPresenter;
use App\Rehearsing\RehearsedCasePresenter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;

/** The rule of a setup, run over the past before it is published. */
final class RehearsalController extends Controller
{
    /** Evenings of each past that may be asked for: a year, three, ten. */
    private const SESSIONS = [252, 756, 2520];

    public function __construct(private readonly RehearsalPresenter $presenter)
    {
    }

    /** What it can be rehearsed at, and how the last one went. */
    public function desk(Request $request, Candidate $candidate): JsonResponse
    {
        $this->authorize('update', $candidate);

        return new JsonResponse($this->presenter->desk(Workbench::variant($candidate, $request), $this->author($request)));
    }

    public function start(Request $request, Candidate $candidate, StartRehearsal $start): JsonResponse
    {
        $this->authorize('update', $candidate);
        $request->validate([
            'at' => ['required', 'string', 'max:80'],
            'scope' => ['required', Rule::enum(RehearsalScope::class)],
            'sessions' => ['required', 'integer', Rule::in(self::SESSIONS)],
        ]);
        $variant = Workbench::variant($candidate, $request);
        $rehearsal = $start($variant, $this->author($request), $request->string('at')->value(), RehearsalScope::from($request->string('scope')->value()), $request->integer('sessions'));

        return new JsonResponse($this->presenter->rehearsal($rehearsal, $variant), 201);
    }

    public function show(Request $request, Candidate $candidate, Rehearsal $rehearsal): JsonResponse
    {
        $this->authorizeOf($candidate, $rehearsal);

        return new JsonResponse($this->presenter->rehearsal($rehearsal, Workbench::variant($candidate, $request)));
    }

    public function cancel(Request $request, Candidate $candidate, Rehearsal $rehearsal, CancelRehearsal $cancel): JsonResponse
    {
        $this->authorizeOf($candidate, $rehearsal);
        $cancel($rehearsal);

        return new JsonResponse($this->presenter->rehearsal($rehearsal->refresh(), Workbench::variant($candidate, $request)));
    }

    /** One of its cases, on the chart as of its evening. */
    public function case(Candidate $candidate, Rehearsal $rehearsal, int $number, RehearsedCasePresenter $cases): Response
    {
        $this->authorizeOf($candidate, $rehearsal);
        $case = $cases->show($rehearsal, $number, $candidate) ?? abort(404, 'This case is not there any more. Rehearse the setup again.');

        return Inertia::render('RehearsedCase', ['case' => $case]);
    }

    private function authorizeOf(Candidate $candidate, Rehearsal $rehearsal): void
    {
        $this->authorize('update', $candidate);
        abort_unless($rehearsal->plan_id === $candidate->plan_id && $rehearsal->instrument_id === $candidate->instrument_id, 404);
        $rehearsal->load('instrument');
    }
}
