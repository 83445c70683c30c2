<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Levels\LevelHistoryPresenter;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** How the author's levels did. */
final class LevelHistoryController extends Controller
{
    public function __invoke(Request $request, LevelHistoryPresenter $presenter): Response
    {
        return Inertia::render('LevelHistory', ['history' => $presenter->of($this->author($request))]);
    }
}
