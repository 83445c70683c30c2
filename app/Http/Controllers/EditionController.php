<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Clock\TimeLabel;
use App\Data\AccountData;
use App\Data\EditionLinkData;
use App\Enums\DeliverySubject;
use App\Enums\Role;
use App\Models\Edition;
use App\Models\Follow;
use App\Models\User;
use App\Publishing\Archive;
use App\Publishing\EditionPages;
use App\Publishing\EditionPresenter;
use App\Subscribers\ReadingRoom;
use App\Subscribers\Requests;
use App\Subscribers\SubscribersPresenter;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class EditionController extends Controller
{
    public function index(Request $request, EditionPresenter $presenter, Archive $archive, ReadingRoom $room, Requests $requests, TimeLabel $times): Response
    {
        $reader = $this->reader($request);

        $user = $request->user();
        $before = $request->filled('before') ? $request->integer('before') : null;
        $query = $request->string('q')->trim()->value();
        $found = $archive->find($query, $reader, $before);

        return Inertia::render('Editions', [
            'query' => $query,
            'editions' => array_map(static fn (Edition $edition): EditionLinkData => $presenter->link($edition, $reader), $found->editions),
            'older' => $found->older,
            'changes' => fn () => $user instanceof User && $user->role === Role::Subscriber ? $room->changes($user, $reader) : [],
            'since' => fn () => $user instanceof User ? $times->full($room->since($user)) : '',
            'followed' => fn () => $user instanceof User ? $room->followed($user, $reader) : [],
            'requests' => fn () => $user instanceof User && $user->role === Role::Subscriber ? $requests->of($user) : [],
        ]);
    }

    public function show(Request $request, Edition $edition, EditionPages $pages, SubscribersPresenter $subscribers): Response
    {
        $account = $this->account($request);

        return Inertia::render('Edition', [
            'edition' => fn () => $pages->edition($edition, $this->reader($request), $account),
            // the words come first; on a phone they are there at once
            'charts' => Inertia::defer(fn () => (object) $pages->charts($edition, $this->reader($request))),
            'account' => $account === null ? null : AccountData::of($account),
            'deliveries' => fn () => $request->user()?->can('keep-subscribers') === true ? $subscribers->of(DeliverySubject::Edition, $edition->id) : null,
            'follows' => fn () => $request->user() === null ? [] : $edition->publishedSetups()->whereIn('id', Follow::query()->where('user_id', $request->user()->getAuthIdentifier())->select('published_setup_id'))->pluck('key'),
        ]);
    }

    /** How anyone who reads all of an edition can recompute it. */
    public function verify(Request $request, Edition $edition): Response
    {
        $this->allowWhole($request, $edition);

        return Inertia::render('Verify', ['number' => $edition->number, 'seal' => $edition->seal, 'hasPrevious' => $edition->previous_seal !== null]);
    }
}
