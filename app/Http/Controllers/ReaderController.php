<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AskForSymbol;
use App\Actions\FollowSetup;
use App\Clock\MarketClock;
use App\Enums\RequestState;
use App\Models\Asker;
use App\Models\Edition;
use App\Models\SymbolRequest;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What a reader does: follows a setup, asks for a symbol, has seen what changed. */
final class ReaderController extends Controller
{
    public function follow(Request $request, Edition $edition, string $key, FollowSetup $follow): RedirectResponse
    {
        $request->validate(['on' => ['required', 'boolean']]);
        $published = $edition->publishedSetups()->with('outcome')->where('key', $key)->firstOrFail();
        abort_unless($this->reader($request)->mayRead($published->setRelation('edition', $edition)), 404);
        $follow($this->user($request), $published, $request->boolean('on'));

        return back();
    }

    public function seen(Request $request, MarketClock $clock): RedirectResponse
    {
        $this->user($request)->update(['seen_until' => $clock->moment()]);

        return back();
    }

    public function ask(Request $request, AskForSymbol $ask): RedirectResponse
    {
        $request->validate(['symbol' => ['required', 'string', 'max:20'], 'note' => ['present', 'nullable', 'string', 'max:200']], ['symbol.required' => 'Write a symbol.']);
        $asked = $ask($this->user($request), $request->string('symbol')->value(), $request->string('note')->value());

        return back()->with('notice', "{$asked->instrument->symbol} is on the author's list.");
    }

    /** A wish is taken back; a request that nobody asks for any more is gone. */
    public function takeBack(Request $request, SymbolRequest $asked): RedirectResponse
    {
        if ($asked->state->isWaiting()) {
            Asker::query()->where(['symbol_request_id' => $asked->id, 'user_id' => $this->user($request)->id])->delete();
            if ($asked->state === RequestState::Open && $asked->askers()->doesntExist()) {
                $asked->delete();
            }
        }

        return back();
    }

    private function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : abort(403);
    }
}
