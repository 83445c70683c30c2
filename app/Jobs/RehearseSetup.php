<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Enums\RehearsalScope;
use App\Enums\RunState;
use App\Models\Instrument;
use App\Models\Rehearsal;
use App\Rehearsing\Pasts;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Collection;
use Watchpost\Core\Rehearsal\RehearsedCase;

/** Rehearses a setup, instrument by instrument; it can be cancelled between two of them. */
final class RehearseSetup implements ShouldQueue
{
    use Queueable;

    public int $timeout = 300;
    public int $tries = 1;

    public function __construct(public readonly int $rehearsalId)
    {
    }

    public function handle(Pasts $pasts): void
    {
        $rehearsal = Rehearsal::query()->with('instrument')->findOrFail($this->rehearsalId);
        $instruments = $this->instruments($rehearsal);
        // begun only while it is queued: a cancel that came first stands
        $begun = Rehearsal::query()->whereKey($rehearsal->id)->where('state', RunState::Queued)
            ->update(['state' => RunState::Running, 'steps_total' => $instruments->count()]);
        if ($begun === 0) {
            return;
        }
        $rehearsing = $pasts->rehearsal($rehearsal);
        $cases = [];
        foreach ($instruments as $instrument) {
            if ($rehearsal->refresh()->state === RunState::Cancelled) {
                return;
            }
            $past = $pasts->of($instrument, $rehearsal->sessions);
            $found = $past === null ? [] : $rehearsing->over($past, $rehearsal->sessions);
            array_push($cases, ...array_map(static fn (RehearsedCase $case): array => $case->toState(), $found));
            $rehearsal->update(['cases' => $cases, 'steps_done' => $rehearsal->steps_done + 1]);
        }
        Rehearsal::query()->whereKey($rehearsal->id)->where('state', RunState::Running)->update(['state' => RunState::Done]);
    }

    public function failed(?\Throwable $e): void
    {
        Rehearsal::query()->whereKey($this->rehearsalId)->update(['state' => RunState::Failed, 'message' => $e?->getMessage() ?? 'It stopped before its end.']);
    }

    /** @return Collection<int, Instrument> the setup's own first */
    private function instruments(Rehearsal $rehearsal): Collection
    {
        $own = $rehearsal->instrument;
        $others = $rehearsal->scope === RehearsalScope::Instrument ? new Collection() : Instrument::query()
            ->where('group', $own->group)
            ->whereKeyNot($own->id)
            ->orderBy('symbol')
            ->get()
            ->filter(static fn (Instrument $one): bool => $one->isTraded());

        return new Collection([$own, ...$others->values()->all()]);
    }
}
