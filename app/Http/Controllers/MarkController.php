<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSetting;
use App\Actions\NoteReading;
use App\Data\ChartSettingsData;
use App\Data\ChoiceData;
use App\Data\LimitsData;
use App\Enums\CandidateState;
use App\Http\Requests\ChartSettingsRequest;
use App\Http\Requests\ChartViewRequest;
use App\Http\Requests\LimitsRequest;
use App\Http\Requests\ReadingNoteRequest;
use App\Market\ChartBuilder;
use App\Market\ChartSettings;
use App\Models\Candidate;
use App\Planning\CandidatePresenter;
use App\Planning\ChartViews;
use App\Planning\CurrentPlan;
use App\Planning\Workbench;
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
use Watchpost\Core\Setups\Checklist\Judges;

/** The step Mark and plan: one candidate, its chart, its ladder, its setup. */
final class MarkController extends Controller
{
    /** Of a chart beside, or one in the strip. */
    private const STRIP_BARS = 60;

    public function __construct(private readonly ChartBuilder $charts, private readonly CandidatePresenter $candidates, private readonly Workbench $bench)
    {
    }

    /** The first candidate that still has to be planned, else the first one. */
    public function first(Request $request, CurrentPlan $current): RedirectResponse
    {
        $plan = $current->of($this->author($request));
        $open = $plan->candidates()->with('setups')->where('state', '!=', CandidateState::Passed)->get();
        $first = $open->first(static fn (Candidate $candidate): bool => ! $candidate->isPlanned()) ?? $open->first();

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
            'links' => fn () => $this->candidates->links($candidate->plan),
            'chart' => fn () => $this->charts->chart($candidate->instrument, $bars, $settings, $shown),
            'larger' => fn () => $larger === null || ! $shown->isFinerThan($larger) ? null : $this->charts->chart($candidate->instrument, self::STRIP_BARS, $settings->bare(), $larger),
            'view' => fn () => $view,
            'settings' => fn () => ChartSettingsData::of($settings),
            'workbench' => fn () => $this->bench->of($candidate, $request, $shown),
            'facts' => fn () => $facts->of($candidate->instrument, $author),
            'judges' => static fn () => array_map(static fn (string $kind, string $asks): ChoiceData => new ChoiceData($kind, $asks), array_keys(Judges::kinds()), Judges::kinds()),
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
}
