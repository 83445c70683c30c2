<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\RemoveReader;
use App\Data\AccountData;
use App\Data\FeedsData;
use App\Data\ReaderSettingsData;
use App\Enums\Role;
use App\Models\User;
use App\Reading\Account;
use App\Subscribers\SignedIn;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Str;
use Illuminate\Validation\Rules\Password as PasswordRule;
use Inertia\Inertia;
use Inertia\Response;

/** What a person sets for themselves. */
final class SettingsController extends Controller
{
    public function show(Request $request, SignedIn $signedIn): Response
    {
        $user = $this->user($request);
        $account = Account::of($user);

        return Inertia::render('Settings', ['settings' => new ReaderSettingsData(
            $user->name,
            $user->email,
            $user->role->value,
            $user->mails_editions,
            $user->mails_updates,
            $user->mails_alerts,
            $user->webhook_url,
            $user->webhook_secret,
            $account === null ? null : AccountData::of($account),
            FeedsData::of($user),
            $signedIn->of($user, $request->session()->getId()),
            $user->role === Role::Subscriber,
        )]);
    }

    public function deliveries(Request $request): RedirectResponse
    {
        $request->validate([
            'mails_editions' => ['required', 'boolean'],
            'mails_updates' => ['required', 'boolean'],
            'mails_alerts' => ['required', 'boolean'],
            'webhook_url' => ['present', 'nullable', 'url:http,https', 'max:200'],
        ], ['webhook_url.*' => 'Write an address that begins with https:// or http://, or nothing.']);
        $user = $this->user($request);
        $url = $request->filled('webhook_url') ? $request->string('webhook_url')->value() : null;
        $user->update([
            'mails_editions' => $request->boolean('mails_editions'),
            'mails_updates' => $request->boolean('mails_updates'),
            'mails_alerts' => $request->boolean('mails_alerts'),
            'webhook_url' => $url,
            'webhook_secret' => $url === null ? null : $user->webhook_secret ?? Str::random(40),
        ]);

        return back()->with('notice', 'Kept.');
    }

    public function password(Request $request): RedirectResponse
    {
        $request->validate(['current' => ['required', 'current_password'], 'password' => ['required', 'confirmed', PasswordRule::min(8)]], [
            'current.*' => 'This is not your password.',
            'password.min' => 'A password has at least eight characters.',
            'password.confirmed' => 'The two are not the same.',
        ]);
        $this->user($request)->update(['password' => $request->string('password')->value()]);

        return back()->with('notice', 'Your new password is set.');
    }

    /** Signed out everywhere but here. */
    public function signOutElsewhere(Request $request, SignedIn $signedIn): RedirectResponse
    {
        $signedIn->endOthers($this->user($request), $request->session()->getId());

        return back()->with('notice', 'You are signed out everywhere else.');
    }

    public function leave(Request $request, RemoveReader $remove): RedirectResponse
    {
        $user = $this->user($request);
        abort_unless($user->role === Role::Subscriber, 403, 'Who makes the plans cannot leave: the editions bear their name.');
        $request->validate(['current' => ['required', 'current_password']], ['current.*' => 'This is not your password. Nothing was deleted.']);
        Auth::logout();
        $remove($user);
        $request->session()->invalidate();

        return redirect('/editions')->with('notice', 'Your account is deleted.');
    }

    private function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : abort(403);
    }
}
