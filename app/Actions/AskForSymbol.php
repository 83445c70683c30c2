<?php

declare(strict_types=1);

namespace App\Actions;

use App\Clock\MarketClock;
use App\Enums\RequestState;
use App\Models\Instrument;
use App\Models\SymbolRequest;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Asks the author for a symbol. Equal wishes become one; nobody has more than a few that wait. */
final readonly class AskForSymbol
{
    public function __construct(private MarketClock $clock)
    {
    }

    public function __invoke(User $user, string $symbol, string $note): SymbolRequest
    {
        $symbol = strtoupper(trim($symbol));
        $instrument = Instrument::query()->where('symbol', $symbol)->orWhere('symbol', "{$symbol}.Q")->first()
            ?? throw ValidationException::withMessages(['symbol' => "\"{$symbol}\" is no symbol known here."]);
        $most = config()->integer('watchpost.requests.most_waiting');

        return DB::transaction(function () use ($user, $instrument, $note, $most): SymbolRequest {
            $request = SymbolRequest::waiting()->where('instrument_id', $instrument->id)->first();
            if ($request?->askers()->where('user_id', $user->id)->exists() === true) {
                throw ValidationException::withMessages(['symbol' => "You have asked for {$instrument->symbol} already: it is on the author's list."]);
            }
            $waiting = SymbolRequest::waiting()->whereRelation('askers', 'user_id', $user->id)->count();
            if ($waiting >= $most) {
                throw ValidationException::withMessages(['symbol' => "{$most} of your requests wait already: take one back, or wait for an answer."]);
            }
            $request ??= SymbolRequest::query()->create(['instrument_id' => $instrument->id, 'state' => RequestState::Open]);
            $request->askers()->create(['user_id' => $user->id, 'note' => trim($note), 'asked_at' => $this->clock->moment()]);

            return $request;
        });
    }
}
