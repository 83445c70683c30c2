<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeLevel;
use App\Actions\ChangeSetup;
use App\Actions\ClearSetup;
use App\Actions\DeleteLevel;
use App\Actions\MarkLevel;
use App\Actions\UsePrice;
use App\Data\WorkbenchData;
use App\Enums\CandidateState;
use App\Enums\LevelGrade;
use App\Enums\PlanPrice;
use App\Http\Requests\LevelRequest;
use App\Http\Requests\SetupRequest;
use App\Market\ChartBuilder;
use App\Models\Candidate;
use App\Models\Level;
use App\Planning\CurrentPlan;
use App\Planning\PriceInput;
use App\Planning\WorkbenchPresenter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use Watchpost\Core\Market\TimeFrame;

/** The step Mark and plan: one candidate, its chart, its ladder, its setup. */
final class MarkController extends Controller
{
    public function __construct(private readonly ChartBuilder $charts, private readonly WorkbenchPresenter $presenter)
    {
    }

    /** The first candidate that still has to be planned, else the first one. */
    public function first(Request $request, CurrentPlan $current): RedirectResponse
    {
        $plan = $current->of($this->author($request));
        $open = $plan->candidates()->with('setup')->where('state', '!=', CandidateState::Passed)->get();
        $first = $open->first(static fn (Candidate $candidate): bool => $candidate->setup?->draft()->isComplete() !== true) ?? $open->first();

        return $first === null
            ? redirect('/plan/candidates')->with('notice', 'Add a candidate first, then mark its levels here.')
            : redirect("/plan/mark/{$first->id}");
    }

    public function show(Request $request, Candidate $candidate): Response
    {
        $this->authorize('update', $candidate);
        $request->validate(['frame' => ['sometimes', Rule::enum(TimeFrame::class)]]);
        $bars = config()->integer('watchpost.chart.bars');
        $timeFrame = $request->enum('frame', TimeFrame::class) ?? TimeFrame::Day;

        return Inertia::render('MarkAndPlan', [
            'links' => fn () => $this->presenter->links($candidate->plan),
            'chart' => fn () => $this->charts->chart($this->charts->series($candidate->instrument, $bars, $timeFrame), $bars),
            'workbench' => fn () => $this->bench($candidate),
        ]);
    }

    public function workbench(Candidate $candidate): JsonResponse
    {
        $this->authorize('update', $candidate);

        return new JsonResponse($this->bench($candidate));
    }

    /** What stands on the workbench is told by the day chart, whatever time frame is shown. */
    private function bench(Candidate $candidate): WorkbenchData
    {
        return $this->presenter->workbench($candidate, $this->charts->series($candidate->instrument, config()->integer('watchpost.chart.bars')));
    }

    public function markLevel(LevelRequest $request, Candidate $candidate, MarkLevel $mark): JsonResponse
    {
        $this->authorize('update', $candidate);
        $price = PriceInput::units($request->string('price')->value(), $candidate->instrument->grid(), 'price');
        $mark($candidate, $price, $request->origin(MarkLevel::OWN_READING), $request->grade(LevelGrade::Minor));

        return $this->workbench($candidate);
    }

    public function changeLevel(LevelRequest $request, Candidate $candidate, Level $level, ChangeLevel $change): JsonResponse
    {
        $this->authorizeLevel($candidate, $level);
        $price = PriceInput::units($request->string('price')->value(), $candidate->instrument->grid(), 'price');
        $change($candidate, $level, $price, $request->origin($level->origin), $request->grade($level->grade));

        return $this->workbench($candidate);
    }

    public function deleteLevel(Candidate $candidate, Level $level, DeleteLevel $delete): JsonResponse
    {
        $this->authorizeLevel($candidate, $level);
        $delete($candidate, $level);

        return $this->workbench($candidate);
    }

    public function usePrice(Request $request, Candidate $candidate, UsePrice $use): JsonResponse
    {
        $this->authorize('update', $candidate);
        $request->validate(['price' => ['required', 'string', 'max:30'], 'as' => ['required', Rule::enum(PlanPrice::class)]]);
        $price = PriceInput::units($request->string('price')->value(), $candidate->instrument->grid(), 'price');
        $use($candidate, $price, PlanPrice::from($request->string('as')->value()));

        return $this->workbench($candidate);
    }

    public function changeSetup(SetupRequest $request, Candidate $candidate, ChangeSetup $change): JsonResponse
    {
        $this->authorize('update', $candidate);
        $change($candidate, $request->changes());

        return $this->workbench($candidate);
    }

    public function clearSetup(Candidate $candidate, ClearSetup $clear): JsonResponse
    {
        $this->authorize('update', $candidate);
        $clear($candidate);

        return $this->workbench($candidate);
    }

    private function authorizeLevel(Candidate $candidate, Level $level): void
    {
        $this->authorize('update', $candidate);
        $this->authorize('update', $level);
        abort_unless($level->instrument_id === $candidate->instrument_id, 404);
    }
}
