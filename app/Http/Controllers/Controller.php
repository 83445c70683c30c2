<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Edition;
use App\Models\User;
use App\Publishing\EditionPresenter;
use App\Reading\Account;
use App\Subscribers\Reader;
use App\Subscribers\Tiers;
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
    protected function allowWhole(Request $request, Edition $edition): void
    {
        abort_unless(app(EditionPresenter::class)->readsAll($edition, $this->reader($request)), 403, 'The whole document is for those who read all of the edition: it holds parts that you do not read, or not yet.');
    }

    /** The account of this person that sizes are told for; null while they have told none. */
    protected function account(Request $request): ?Account
    {
        $user = $request->user();

        return $user instanceof User ? Account::of($user) : null;
    }

    /** As whom this person, or a visitor, reads. */
    protected function reader(Request $request): Reader
    {
        $user = $request->user();

        return app(Tiers::class)->readerFor($user instanceof User ? $user : null);
    }
}
