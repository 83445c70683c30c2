<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Data\AccountData;
use App\Data\EditionLinkData;
use App\Data\FeedsData;
use App\Models\Edition;
use App\Models\User;
use App\Publishing\EditionPresenter;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class EditionController extends Controller
{
    public function index(Request $request, EditionPresenter $presenter): Response
    {
        $tier = $this->tier($request);

        $user = $request->user();

        return Inertia::render('Editions', [
            'feeds' => $user instanceof User ? FeedsData::of($user) : null,
            'editions' => Edition::query()->with('publishedSetups')->orderByDesc('number')->get()
                ->map(static fn (Edition $edition): EditionLinkData => $presenter->link($edition, $tier)),
        ]);
    }

    public function show(Request $request, Edition $edition, EditionPresenter $presenter): Response
    {
        $account = $this->account($request);

        return Inertia::render('Edition', [
            'edition' => $presenter->edition($edition, $this->tier($request), $account),
            'account' => $account === null ? null : AccountData::of($account),
        ]);
    }

    /** How anyone who reads all of an edition can recompute it. */
    public function verify(Request $request, Edition $edition): Response
    {
        $this->allowWhole($request);

        return Inertia::render('Verify', ['number' => $edition->number, 'seal' => $edition->seal, 'hasPrevious' => $edition->previous_seal !== null]);
    }
}
