<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AdvanceMarket;
use App\Actions\CancelMarketRun;
use App\Data\MarketRunData;
use App\Models\MarketRun;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The made-up market being played forward. */
final class MarketRunController extends Controller
{
    public function store(Request $request, AdvanceMarket $advance): JsonResponse
    {
        $request->validate([
            'by' => ['required', Rule::in(['bar', 'close', 'sessions'])],
            'sessions' => ['required_if:by,sessions', 'integer'],
        ]);
        $user = $request->user();
        abort_unless($user instanceof User, 403);
        $run = match ($request->string('by')->value()) {
            'bar' => $advance->byBar($user),
            'close' => $advance->toClose($user),
            default => $advance->bySessions($user, $request->integer('sessions')),
        };

        return new JsonResponse(MarketRunData::of($run), 201);
    }

    public function show(MarketRun $run): JsonResponse
    {
        return new JsonResponse(MarketRunData::of($run));
    }

    public function cancel(MarketRun $run, CancelMarketRun $cancel): JsonResponse
    {
        $this->authorize('update', $run);
        $cancel($run);

        return new JsonResponse(MarketRunData::of($run->refresh()));
    }
}
