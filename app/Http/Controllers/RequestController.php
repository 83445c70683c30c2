<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AnswerRequest;
use App\Models\SymbolRequest;
use App\Planning\CurrentPlan;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What readers ask for, as the author answers it. */
final class RequestController extends Controller
{
    public function take(Request $request, SymbolRequest $asked, CurrentPlan $current, AnswerRequest $answer): RedirectResponse
    {
        $answer->take($current->of($this->author($request)), $asked);

        return back();
    }

    public function decline(Request $request, SymbolRequest $asked, AnswerRequest $answer): RedirectResponse
    {
        $request->validate(['reason' => ['present', 'nullable', 'string', 'max:200']]);
        $answer->decline($asked->load('askers.user'), $request->string('reason')->value());

        return back();
    }
}
