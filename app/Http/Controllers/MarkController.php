<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeSetup;
use App\Actions\ClearSetup;
use App\Actions\KeepSetting;
use App\Actions\NoteReading;
use App\Actions\UsePrice;
use App\Data\ChartSettingsData;
use App\Data\LimitsData;
use App\Enums\CandidateState;
use App\Enums\PlanPrice;
use App\Http\Requests\ChartSettingsRequest;
use App\Http\Requests\ChartViewRequest;
use App\Http\Requests\LimitsRequest;
use App\Http\Requests\ReadingNoteRequest;
use App\Http\Requests\SetupRequest;
use App\Market\BarRepository;
use App\Market\ChartBuilder;
use App\Market\ChartSettings;
use App\Models\Candidate;
use App\Planning\ChartViews;
use App\Planning\CurrentPlan;
use App\Planning\PriceInput;
use App\Planning\Workbench;
use App\Planning\WorkbenchPresenter;
use App\Reading\CandidateFacts;
use App\Reading\Limits;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use Watchpost\Core\Market\TimeFrame;

/** The step Mark and plan: one candidate, its chart, its ladder, its setup. */
final class MarkController extends Controller
{
    /** Of a chart beside, or one in the strip. */
    private const STRIP_BARS = 60;

    public function __construct(private readonly ChartBuilder $charts, private readonly WorkbenchPresenter $presenter, private readonly Workbench $bench, private readonly BarRepository $bars)
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

    /** A candidate opens as it was left; a time frame that is asked for goes before. */
    public function show(Request $request, Candidate $candidate, ChartViews $views, CandidateFacts $facts): Response
    {
        $this->authorize('update', $candidate);
        $author = $this->author($request);
        $view = $views->of($author, $candidate->instrument);
        $shown = $request->has('frame') ? Workbench::shown($request) : $view->frame;
        $larger = $request->has('larger') ? $this->larger($request) : $view->larger;
        $bars = config()->integer('watchpost.chart.bars');
        $settings = ChartSettings::of($author);

        return Inertia::render('MarkAndPlan', [
            'links' => fn () => $this->presenter->links($candidate->plan),
            'chart' => fn () => $this->charts->chart($candidate->instrument, $bars, $settings, $shown),
            'larger' => fn () => $larger === null || ! $shown->isFinerThan($larger) ? null : $this->charts->chart($candidate->instrument, self::STRIP_BARS, $settings->bare(), $larger),
            'view' => fn () => $view,
            'settings' => fn () => ChartSettingsData::of($settings),
            'workbench' => fn () => $this->bench->of($candidate, $request, $shown),
            'facts' => fn () => $facts->of($candidate->instrument, $author),
            'limits' => fn () => LimitsData::of(Limits::of($author)),
            'strip' => Inertia::optional(fn () => array_map(fn (TimeFrame $frame) => $this->charts->chart($candidate->instrument, self::STRIP_BARS, $settings->bare(), $frame), TimeFrame::cases())),
        ]);
    }

    private function larger(Request $request): ?TimeFrame
    {
        $request->validate(['larger' => ['nullable', Rule::enum(TimeFrame::class)]]);

        return $request->enum('larger', TimeFrame::class);
    }

    public function workbench(Request $request, Candidate $candidate): JsonResponse
    {
        $this->authorize('update', $candidate);

        return new JsonResponse($this->bench->of($candidate, $request));
    }

    public function settings(ChartSettingsRequest $request, KeepSetting $keep): RedirectResponse
    {
        $keep($this->author($request), ChartSettings::NAME, $request->settings()->toArray());

        return back();
    }

    public function limits(LimitsRequest $request, KeepSetting $keep): RedirectResponse
    {
        $keep($this->author($request), Limits::NAME, $request->limits());

        return back();
    }

    /** Keep how the chart was left. */
    public function view(ChartViewRequest $request, Candidate $candidate, ChartViews $views): HttpResponse
    {
        $this->authorize('update', $candidate);
        $views->keep($this->author($request), $candidate->instrument, $request->validated());

        return response()->noContent();
    }

    public function note(ReadingNoteRequest $request, Candidate $candidate, NoteReading $note): JsonResponse
    {
        $this->authorize('update', $candidate);
        $note($candidate, $request->changes($candidate->instrument->grid()));

        return $this->workbench($request, $candidate);
    }

    public function usePrice(Request $request, Candidate $candidate, UsePrice $use): JsonResponse
    {
        $this->authorize('update', $candidate);
        $request->validate(['price' => ['required', 'string', 'max:30'], 'as' => ['required', Rule::enum(PlanPrice::class)]]);
        $price = $this->prices($request, $candidate)->price($request->string('price')->value(), 'price');
        $use($candidate, $price, PlanPrice::from($request->string('as')->value()));

        return $this->workbench($request, $candidate);
    }

    public function changeSetup(SetupRequest $request, Candidate $candidate, ChangeSetup $change): JsonResponse
    {
        $this->authorize('update', $candidate);
        $change($candidate, $request->changes(), $this->prices($request, $candidate));

        return $this->workbench($request, $candidate);
    }

    public function clearSetup(Request $request, Candidate $candidate, ClearSetup $clear): JsonResponse
    {
        $this->authorize('update', $candidate);
        $clear($candidate);

        return $this->workbench($request, $candidate);
    }

    private function prices(Request $request, Candidate $candidate): PriceInput
    {
        return new PriceInput($candidate->instrument->grid(), $this->bars->lastClose($candidate->instrument), $request->boolean(PriceInput::SURE));
    }
}
