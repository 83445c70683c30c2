<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Data\AccountData;
use App\Data\EditionLinkData;
use App\Enums\Tier;
use App\Models\Edition;
use App\Models\User;
use App\Publishing\EditionPresenter;
use App\Publishing\Evidence;
use App\Reading\Account;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\Response as HttpResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class EditionController extends Controller
{
    public function index(Request $request, EditionPresenter $presenter): Response
    {
        $tier = $this->tier($request);

        return Inertia::render('Editions', [
            'editions' => Edition::query()->with('publishedSetups')->orderByDesc('number')->get()
                ->map(static fn (Edition $edition): EditionLinkData => $presenter->link($edition, $tier)),
        ]);
    }

    public function show(Request $request, Edition $edition, EditionPresenter $presenter): Response
    {
        $user = $request->user();
        $account = $user instanceof User ? Account::of($user) : null;

        return Inertia::render('Edition', [
            'edition' => $presenter->edition($edition, $this->tier($request), $account),
            'account' => $account === null ? null : AccountData::of($account),
        ]);
    }

    /** The sealed document itself, byte for byte: for those who may read all of it. */
    public function document(Request $request, Edition $edition): HttpResponse
    {
        $this->allowWhole($request);

        return response($edition->document, 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"edition-{$edition->number}.json\"",
        ]);
    }

    /** How anyone who reads all of an edition can recompute it. */
    public function verify(Request $request, Edition $edition): Response
    {
        $this->allowWhole($request);

        return Inertia::render('Verify', ['number' => $edition->number, 'seal' => $edition->seal, 'hasPrevious' => $edition->previous_seal !== null]);
    }

    /** The document with what the record claims of it, to be recomputed. */
    public function evidence(Request $request, Edition $edition, Evidence $evidence): HttpResponse
    {
        $this->allowWhole($request);

        return response(json_encode($evidence->of($edition), JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"evidence-{$edition->number}.json\"",
        ]);
    }

    /** The bars its setups were judged on. */
    public function bars(Request $request, Edition $edition, Evidence $evidence): StreamedResponse
    {
        $this->allowWhole($request);

        return response()->streamDownload(static function () use ($edition, $evidence): void {
            $out = fopen('php://output', 'w');
            if ($out !== false) {
                foreach ($evidence->bars($edition) as $line) {
                    fputcsv($out, $line, ',', '"', '');
                }
            }
        }, "bars-{$edition->number}.csv", ['Content-Type' => 'text/csv; charset=UTF-8']);
    }

    private function allowWhole(Request $request): void
    {
        abort_unless($this->tier($request) === Tier::Pilot, 403, 'The whole document is for Pilot readers: it holds parts that other tiers do not read.');
    }
}
