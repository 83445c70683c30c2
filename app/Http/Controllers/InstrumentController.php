<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Data\BarRowData;
use App\Data\ChartData;
use App\Import\Exporter;
use App\Market\ChartBuilder;
use App\Market\ChartSettings;
use App\Models\Instrument;
use App\Reading\BarQuality;
use App\Reading\BarTable;
use App\Reading\InstrumentPresenter;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Watchpost\Core\Market\TimeFrame;

/** The page of one instrument. */
final class InstrumentController extends Controller
{
    private const SMALL_CHART_BARS = 60;
    private const SMALL_CHARTS = [TimeFrame::FiveMinutes, TimeFrame::ThirtyMinutes, TimeFrame::Hour, TimeFrame::Day, TimeFrame::Week, TimeFrame::Month, TimeFrame::Quarter];

    public function show(Request $request, Instrument $instrument, InstrumentPresenter $presenter, BarQuality $quality, ChartBuilder $charts, BarTable $table): Response
    {
        $request->validate(['frame' => ['sometimes', Rule::enum(TimeFrame::class)]]);
        $author = $this->author($request);
        $frame = $request->enum('frame', TimeFrame::class) ?? TimeFrame::Day;

        return Inertia::render('Instrument', [
            'page' => fn () => $presenter->page($instrument, $author),
            'frame' => $frame,
            /** @return list<BarRowData> */
            'bars' => fn (): array => $table->rows($instrument, $frame),
            'quality' => Inertia::defer(fn () => $quality->of($instrument)),
            'charts' => Inertia::defer(fn (): array => array_map(static fn (TimeFrame $one): ChartData => $charts->chart($instrument, self::SMALL_CHART_BARS, new ChartSettings([], []), $one), self::SMALL_CHARTS)),
        ]);
    }

    public function export(Request $request, Instrument $instrument, Exporter $exporter): StreamedResponse
    {
        $request->validate(['frame' => ['required', Rule::in([TimeFrame::FiveMinutes->value, TimeFrame::Day->value])]]);
        $frame = TimeFrame::from($request->string('frame')->value());

        return response()->streamDownload(static function () use ($exporter, $instrument, $frame): void {
            $out = fopen('php://output', 'w');
            if ($out !== false) {
                Exporter::write($exporter->bars($instrument, $frame), $out);
            }
        }, "bars-{$instrument->symbol}-{$frame->value}.csv", ['Content-Type' => 'text/csv; charset=UTF-8']);
    }
}
