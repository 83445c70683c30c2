<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Enums\ImportKind;
use App\Feeds\FolderFeed;
use App\Feeds\FolderReport;
use App\Import\Exporter;
use App\Reading\DataPresenter;
use Illuminate\Http\RedirectResponse;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\Response as HttpResponse;

/** The page Data: feeds, clock, exchanges, instruments, imports and exports. */
final class DataController extends Controller
{
    public function show(DataPresenter $presenter): Response
    {
        return Inertia::render('Data', ['data' => fn () => $presenter->page(), 'instruments' => Inertia::defer(fn () => $presenter->instruments())]);
    }

    public function takeIn(FolderFeed $feed): RedirectResponse
    {
        $reports = $feed->takeIn();
        $words = array_map(static fn (FolderReport $one): string => "{$one->file}: {$one->words}", $reports);

        return back()->with('notice', $words === [] ? 'No file waits in the folder.' : implode('. ', $words));
    }

    public function export(string $what, Exporter $exporter): HttpResponse
    {
        if ($what === 'calendar') {
            return response($exporter->calendar(), 200, ['Content-Type' => 'text/calendar; charset=UTF-8', 'Content-Disposition' => 'attachment; filename="events.ics"']);
        }
        $lines = match (ImportKind::tryFrom($what)) {
            ImportKind::Instruments => $exporter->instruments(),
            ImportKind::Events => $exporter->events(),
            default => throw ValidationException::withMessages(['what' => 'Bars are exported from the page of their instrument.']),
        };

        return response()->streamDownload(static function () use ($lines): void {
            $out = fopen('php://output', 'w');
            if ($out !== false) {
                Exporter::write($lines, $out);
            }
        }, "{$what}.csv", ['Content-Type' => 'text/csv; charset=UTF-8']);
    }
}
