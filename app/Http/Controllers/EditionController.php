<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Data\EditionLinkData;
use App\Enums\Tier;
use App\Models\Edition;
use App\Publishing\EditionPresenter;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\Response as HttpResponse;

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
        return Inertia::render('Edition', ['edition' => $presenter->edition($edition, $this->tier($request))]);
    }

    /** The sealed document itself, byte for byte: for those who may read all of it. */
    public function document(Request $request, Edition $edition): HttpResponse
    {
        abort_unless($this->tier($request) === Tier::Pilot, 403, 'The whole document is for Pilot readers: it holds parts that other tiers do not read.');

        return response($edition->document, 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => "attachment; filename=\"edition-{$edition->number}.json\"",
        ]);
    }
}
