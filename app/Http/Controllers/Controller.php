<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Enums\Tier;
use App\Models\User;
use App\Reading\Account;
use Illuminate\Foundation\Auth\Access\AuthorizesRequests;
use Illuminate\Http\Request;

abstract class Controller
{
    use AuthorizesRequests;

    /** Whose plan this person works on; refused for those who only read. */
    protected function author(Request $request): User
    {
        $user = $request->user();

        return ($user instanceof User ? $user->author() : null) ?? abort(403);
    }

    /** Refused to those who may not read all of an edition. */
    protected function allowWhole(Request $request): void
    {
        abort_unless($this->tier($request) === Tier::Pilot, 403, 'The whole document is for Pilot readers: it holds parts that other tiers do not read.');
    }

    /** The account of this person that sizes are told for; null while they have told none. */
    protected function account(Request $request): ?Account
    {
        $user = $request->user();

        return $user instanceof User ? Account::of($user) : null;
    }

    /** The tier whose parts this person may read. */
    protected function tier(Request $request): Tier
    {
        $user = $request->user();

        return $user instanceof User ? $user->readingTier() : Tier::Harbour;
    }
}
