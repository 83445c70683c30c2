<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AdoptLevel;
use App\Actions\ChangeLevel;
use App\Actions\DeleteLevel;
use App\Actions\MarkLevel;
use App\Actions\RetireLevel;
use App\Http\Requests\LevelRequest;
use App\Levels\CrossChecks;
use App\Levels\LevelReader;
use App\Levels\LevelSheetPresenter;
use App\Market\BarRepository;
use App\Models\Candidate;
use App\Models\Level;
use App\Planning\Workbench;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Levels\LevelInput;

/** The levels of a candidate's instrument: the author's own, and those of the cross-check. */
final class LevelController extends Controller
{
    public function __construct(private readonly Workbench $bench, private readonly CrossChecks $checks, private readonly LevelSheetPresenter $sheets)
    {
    }

    public function mark(LevelRequest $request, Candidate $candidate, MarkLevel $mark, BarRepository $bars): JsonResponse
    {
        $this->authorize('update', $candidate);
        $mark($candidate, $request->level($candidate->instrument->grid(), $bars->lastClose($candidate->instrument)));

        return $this->answer($candidate, $request);
    }

    /** Everything that is known of one level. */
    public function show(Candidate $candidate, Level $level): JsonResponse
    {
        $this->authorizeLevel($candidate, $level);
        $days = $this->bench->days($candidate);
        abort_if($days->count() === 0, 404, "There are no bars of {$candidate->instrument->symbol} to read a level on.");

        return new JsonResponse($this->sheets->own($level, $days));
    }

    public function change(LevelRequest $request, Candidate $candidate, Level $level, ChangeLevel $change, LevelReader $reader): JsonResponse
    {
        $this->authorizeLevel($candidate, $level);
        $days = $this->bench->days($candidate);
        $close = $days->lastClose() ?? $level->price;
        $reading = $days->count() === 0 ? null : $reader->read($level, new LevelInput($days))[0] ?? null;
        $change($candidate, $level, $request->changes($level, $days->grid, $close, $reading?->nearEdge($close) ?? $level->price));

        return $this->answer($candidate, $request);
    }

    public function delete(Request $request, Candidate $candidate, Level $level, DeleteLevel $delete): JsonResponse
    {
        $this->authorizeLevel($candidate, $level);
        $delete($candidate, $level);

        return $this->answer($candidate, $request);
    }

    public function retire(Request $request, Candidate $candidate, Level $level, RetireLevel $retire): JsonResponse
    {
        $this->authorizeLevel($candidate, $level);
        $retire($candidate, $level);

        return $this->answer($candidate, $request);
    }

    public function restore(Request $request, Candidate $candidate, Level $level, RetireLevel $retire): JsonResponse
    {
        $this->authorizeLevel($candidate, $level);
        $retire->restore($candidate, $level);

        return $this->answer($candidate, $request);
    }

    /** The evidence of the cross-check. */
    public function evidence(Request $request, Candidate $candidate): JsonResponse
    {
        $this->authorize('update', $candidate);
        $checks = $this->checks->of($candidate->instrument, $candidate->plan->author, Workbench::shown($request), Workbench::asOf($request));

        $days = $this->bench->days($candidate);

        return new JsonResponse($days->count() === 0 ? [] : $this->sheets->found($checks, $days));
    }

    /** Take a level of the cross-check over. */
    public function adopt(Request $request, Candidate $candidate, AdoptLevel $adopt): JsonResponse
    {
        $this->authorize('update', $candidate);
        $request->validate(['key' => ['required', 'string', 'max:40']]);
        $check = $this->checks->find($request->string('key')->value(), $candidate->instrument, $candidate->plan->author, Workbench::shown($request), Workbench::asOf($request));
        if ($check === null) {
            throw ValidationException::withMessages(['key' => 'The cross-check has changed meanwhile. Choose the level again.']);
        }
        $adopt($candidate, $check);

        return $this->answer($candidate, $request);
    }

    private function answer(Candidate $candidate, Request $request): JsonResponse
    {
        return new JsonResponse($this->bench->of($candidate, $request));
    }

    private function authorizeLevel(Candidate $candidate, Level $level): void
    {
        $this->authorize('update', $candidate);
        $this->authorize('update', $level);
        abort_unless($level->instrument_id === $candidate->instrument_id, 404);
    }
}
