<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Inertia\Inertia;
use Inertia\Response;

/** The way in every mail to be sent no more, without signing in. */
final class UnsubscribeController extends Controller
{
    public function show(Request $request, User $user): Response
    {
        return Inertia::render('Unsubscribe', ['address' => $request->fullUrl(), 'isDone' => ! $user->mails_editions && ! $user->mails_updates && ! $user->mails_alerts]);
    }

    /** Pressed on the page, or by a mail program (RFC 8058). */
    public function store(Request $request, User $user): Response|HttpResponse
    {
        $user->update(['mails_editions' => false, 'mails_updates' => false, 'mails_alerts' => false]);

        return $request->hasHeader('X-Inertia') ? Inertia::render('Unsubscribe', ['address' => $request->fullUrl(), 'isDone' => true]) : response('You are sent no more mails.');
    }
}
