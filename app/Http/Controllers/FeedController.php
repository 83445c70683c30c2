<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\ChangeFeedAddress;
use App\Delivery\AtomFeed;
use App\Delivery\DatesFeed;
use App\Models\User;
use App\Subscribers\Tiers;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Feeds at private addresses, for readers that cannot sign in: whoever knows the address reads as its owner does. */
final class FeedController extends Controller
{
    public function editions(Request $request, string $token, AtomFeed $feed, Tiers $tiers): Response
    {
        return response($feed->of($tiers->readerFor($this->owner($token)), $request->url()), 200, ['Content-Type' => 'application/atom+xml; charset=UTF-8']);
    }

    public function dates(string $token, DatesFeed $feed, Tiers $tiers): Response
    {
        return response($feed->of($tiers->readerFor($this->owner($token))), 200, ['Content-Type' => 'text/calendar; charset=UTF-8']);
    }

    /** Private addresses anew, or none any more. */
    public function change(Request $request, ChangeFeedAddress $change): RedirectResponse
    {
        $request->validate(['on' => ['required', 'boolean']]);
        $user = $request->user();
        if ($user instanceof User) {
            $change($user, $request->boolean('on'));
        }

        return back();
    }

    private function owner(string $token): User
    {
        return User::query()->where('feed_token', $token)->first() ?? abort(404, 'There is no feed at this address, or not any more.');
    }
}
