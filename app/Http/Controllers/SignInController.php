<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

final class SignInController extends Controller
{
    public function show(): Response
    {
        return Inertia::render('SignIn');
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        if (! Auth::attempt($request->safe()->only(['email', 'password']), true)) {
            throw ValidationException::withMessages(['email' => 'No account has this address and password.']);
        }
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }

    /** Where the work of a person begins. */
    public function home(Request $request): RedirectResponse
    {
        $user = $request->user();

        return redirect($user instanceof User && $user->can('plan') ? '/plan/review' : '/editions');
    }
}
