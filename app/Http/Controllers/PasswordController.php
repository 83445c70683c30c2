<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Password;
use Illuminate\Support\Str;
use Illuminate\Validation\Rules\Password as PasswordRule;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** A password that is forgotten, and the first one of someone who was invited. */
final class PasswordController extends Controller
{
    public function forgotten(): Response
    {
        return Inertia::render('Forgotten');
    }

    /** It never says whether an address is known. */
    public function send(Request $request): RedirectResponse
    {
        $request->validate(['email' => ['required', 'email:filter']], ['email.*' => 'Write the mail address of your account.']);
        Password::broker()->sendResetLink(['email' => $request->string('email')->lower()->value()]);

        return back()->with('notice', 'If there is an account with this address, a mail is on its way to it.');
    }

    public function show(Request $request, string $token): Response
    {
        return Inertia::render('NewPassword', ['token' => $token, 'email' => $request->string('email')->value(), 'isFirst' => $request->is('invitations/*')]);
    }

    public function store(Request $request, string $token): RedirectResponse
    {
        $request->validate(['email' => ['required', 'email:filter'], 'password' => ['required', 'confirmed', PasswordRule::min(8)]], [
            'password.min' => 'A password has at least eight characters.',
            'password.confirmed' => 'The two are not the same.',
        ]);
        $isFirst = $request->is('invitations/*');
        $said = Password::broker($isFirst ? 'invitations' : 'users')->reset(
            ['email' => $request->string('email')->lower()->value(), 'password' => $request->string('password')->value(), 'token' => $token],
            static function (User $user, string $password): void {
                $user->forceFill(['password' => $password, 'remember_token' => Str::random(60), 'joined_at' => $user->joined_at ?? now()])->save();
                // whoever was signed in with the old one is not any more
                DB::table('sessions')->where('user_id', $user->id)->delete();
                Auth::login($user, true);
            },
        );
        if ($said !== Password::PasswordReset) {
            throw ValidationException::withMessages(['password' => $isFirst ? 'This invitation is used or over: ask for a new one.' : 'This way is used or over: ask for a new mail.']);
        }
        $request->session()->regenerate();

        return redirect('/')->with('notice', 'Your password is set.');
    }
}
