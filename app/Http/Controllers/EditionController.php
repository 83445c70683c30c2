<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Data\AccountData;
use App\Data\EditionLinkData;
use App\Models\Edition;
use App\Publishing\EditionPresenter;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class EditionController extends Controller
{
    public function index(Request $request, EditionPresenter $presenter): Response
    {
        $reader = $this->reader($request);

        return Inertia::render('Editions', [
            'editions' => Edition::query()->with('publishedSetups')->orderByDesc('number')->get()
                ->map(static fn (Edition $edition): EditionLinkData => $presenter->link($edition, $reader)),
        ]);
    }

    public function show(Request $request, Edition $edition, EditionPresenter $presenter): Response
    {
        $account = $this->account($request);

        return Inertia::render('Edition', [
            'edition' => $presenter->edition($edition, $this->reader($request), $account),
            'account' => $account === null ? null : AccountData::of($account),
        ]);
    }

    /** How anyone who reads all of an edition can recompute it. */
    public function verify(Request $request, Edition $edition): Response
    {
        $this->allowWhole($request, $edition);

        return Inertia::render('Verify', ['number' => $edition->number, 'seal' => $edition->seal, 'hasPrevious' => $edition->previous_seal !== null]);
    }
}
