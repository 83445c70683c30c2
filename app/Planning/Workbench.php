<?php

declare(strict_types=1);

namespace App\Planning;

use App\Data\WorkbenchData;
use App\Levels\LevelReader;
use App\Market\BarRepository;
use App\Models\Candidate;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;

/** The workbench as a request asks for it: with the chart in view, and the evening of the cross-check. */
final readonly class Workbench
{
    public function __construct(private BarRepository $bars, private WorkbenchPresenter $presenter)
    {
    }

    public function of(Candidate $candidate, Request $request, ?TimeFrame $shown = null): WorkbenchData
    {
        $candidate->load(['instrument', 'setups.kind']);

        return $this->presenter->workbench(self::variant($candidate, $request), $this->days($candidate), $shown ?? self::shown($request), self::asOf($request));
    }

    /** What stands on the workbench is told by the day chart, whatever time frame is shown. */
    public function days(Candidate $candidate): Series
    {
        return $this->bars->days($candidate->instrument, LevelReader::DAYS);
    }

    public static function shown(Request $request): TimeFrame
    {
        $request->validate(['frame' => ['sometimes', Rule::enum(TimeFrame::class)]]);

        return $request->enum('frame', TimeFrame::class) ?? TimeFrame::Day;
    }

    /** The variant in hand; one that is gone meanwhile, by an undo say, gives way to the last there is. */
    public static function variant(Candidate $candidate, Request $request): Variant
    {
        $request->validate(['variant' => ['sometimes', 'integer', 'between:1,'.Variant::MOST]]);

        return new Variant($candidate, max(1, min($request->integer('variant', 1), $candidate->setups->count())));
    }

    public static function asOf(Request $request): ?string
    {
        $request->validate(['as_of' => ['sometimes', 'nullable', 'date_format:Y-m-d']], ['as_of.date_format' => 'Write the date like 2026-10-14.']);

        return $request->filled('as_of') ? $request->string('as_of')->value() : null;
    }
}
