<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ApplyKind;
use App\Actions\KeepKind;
use App\Actions\RetireKind;
use App\Actions\TickLine;
use App\Http\Requests\KindRequest;
use App\Market\BarRepository;
use App\Models\Candidate;
use App\Models\SetupKind;
use App\Planning\PriceInput;
use App\Planning\Workbench;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The author's kinds of setup: kept from the workbench, applied there, and checked. */
final class SetupKindController extends Controller
{
    public function __construct(private readonly Workbench $bench, private readonly KeepKind $keep)
    {
    }

    /** A new kind, with the setup in hand as its defaults if it is asked for. */
    public function store(KindRequest $request, Candidate $candidate): JsonResponse
    {
        $this->authorize('update', $candidate);

        return $this->kept($request, $candidate, null);
    }

    public function update(KindRequest $request, Candidate $candidate, SetupKind $kind): JsonResponse
    {
        $this->authorize('update', $candidate);
        $this->authorize('update', $kind);

        return $this->kept($request, $candidate, $kind);
    }

    public function destroy(Request $request, Candidate $candidate, SetupKind $kind, RetireKind $retire): JsonResponse
    {
        $this->authorize('update', $candidate);
        $this->authorize('update', $kind);
        $retire($kind);

        return $this->answer($candidate, $request);
    }

    /** Make the setup in hand one of a kind. */
    public function apply(Request $request, Candidate $candidate, SetupKind $kind, ApplyKind $apply, BarRepository $bars): JsonResponse
    {
        $this->authorize('update', $candidate);
        $this->authorize('update', $kind);
        $request->validate(['price' => ['sometimes', 'nullable', 'string', 'max:30']]);
        $level = $request->filled('price') ? (new PriceInput($candidate->instrument->grid(), $bars->lastClose($candidate->instrument)))->price($request->string('price')->value(), 'price') : null;
        $apply(Workbench::variant($candidate, $request), $kind, $level);

        return $this->answer($candidate, $request);
    }

    public function tick(Request $request, Candidate $candidate, TickLine $tick): JsonResponse
    {
        $this->authorize('update', $candidate);
        $request->validate(['line' => ['required', 'string', 'max:120'], 'ticked' => ['required', 'boolean']]);
        $tick(Workbench::variant($candidate, $request), $request->string('line')->value(), $request->boolean('ticked'));

        return $this->answer($candidate, $request);
    }

    private function kept(KindRequest $request, Candidate $candidate, ?SetupKind $kind): JsonResponse
    {
        $variant = Workbench::variant($candidate, $request);
        ($this->keep)($this->author($request), $kind, $request->string('name')->value(), $request->checklist(), $request->boolean('defaults') ? $variant : null);

        return $this->answer($candidate, $request);
    }

    private function answer(Candidate $candidate, Request $request): JsonResponse
    {
        return new JsonResponse($this->bench->of($candidate, $request));
    }
}
