<?php

declare(strict_types=1);

namespace App\Subscribers;

use App\Clock\TimeLabel;
use App\Data\AskedData;
use App\Data\RequestData;
use App\Models\Asker;
use App\Models\SymbolRequest;
use App\Models\User;

/** What readers ask for: as the author's backlog, and as a reader's own. */
final readonly class Requests
{
    private const ANSWERED_SHOWN = 5;

    public function __construct(private Tiers $tiers, private TimeLabel $times)
    {
    }

    /** @return list<RequestData> those that wait: the highest tier first, then the most asked for, then the oldest */
    public function waiting(): array
    {
        $rows = SymbolRequest::waiting()->with(['instrument', 'askers.user'])->get()->map(function (SymbolRequest $request): array {
            $ranks = array_map(fn (Asker $asker): int => $this->tiers->all()->firstWhere('key', $asker->user->tier)->rank ?? 0, $request->askers->all());
            $first = $request->askers->first();

            return [
                [-max([0, ...$ranks]), -$request->askers->count(), $first->asked_at ?? 0, $request->id],
                new RequestData(
                    $request->id,
                    $request->instrument->symbol,
                    $request->instrument->name,
                    $request->state,
                    array_values($request->askers->map(fn (Asker $asker): AskedData => new AskedData($asker->user->name, $this->tiers->all()->firstWhere('key', $asker->user->tier)->name ?? '', $asker->note, $this->times->shortDay($asker->asked_at)))->all()),
                    '',
                    null,
                    $first === null ? '' : $this->times->shortDay($first->asked_at),
                ),
            ];
        })->all();
        usort($rows, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return array_column($rows, 1);
    }

    /** @return list<RequestData> what a reader asked for, the latest first; of what is answered the last few */
    public function of(User $user): array
    {
        $requests = SymbolRequest::query()->with(['instrument', 'edition', 'askers'])->whereRelation('askers', 'user_id', $user->id)->orderByDesc('id')->get();
        $waiting = $requests->filter(static fn (SymbolRequest $one): bool => $one->state->isWaiting());
        $over = $requests->reject(static fn (SymbolRequest $one): bool => $one->state->isWaiting())->take(self::ANSWERED_SHOWN);

        return array_values($waiting->concat($over)->map(fn (SymbolRequest $one): RequestData => new RequestData(
            $one->id,
            $one->instrument->symbol,
            $one->instrument->name,
            $one->state,
            [],
            $one->reason,
            $one->edition?->number,
            $this->times->shortDay($one->askers->firstWhere('user_id', $user->id)->asked_at ?? 0),
        ))->all());
    }
}
