<?php

declare(strict_types=1);

namespace App\Actions;

use App\Clock\MarketClock;
use App\Enums\RehearsalScope;
use App\Enums\RunState;
use App\Jobs\RehearseSetup;
use App\Models\Rehearsal;
use App\Models\User;
use App\Planning\Variant;
use App\Rehearsing\LevelChoices;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Rehearsal\Rehearsal as Rehearsing;

/** Runs the rule of a setup over the past of its instrument, or of all of its group, in the queue. */
final readonly class StartRehearsal
{
    public function __construct(private LevelChoices $choices, private MarketClock $clock)
    {
    }

    /** @param string $at the words of the kind of level it stands at, of those offered */
    public function __invoke(Variant $variant, User $author, string $at, RehearsalScope $scope, int $sessions): Rehearsal
    {
        $choices = $this->choices->of($variant, $author);
        if ($choices === []) {
            throw ValidationException::withMessages(['rehearsal' => 'A rehearsal needs a setup with entry and stop, and bars to run on.']);
        }
        $rule = $choices[$at] ?? throw ValidationException::withMessages(['at' => 'The entry has moved since: choose again what it stands at.']);
        $refusal = Rehearsing::refusal($rule);
        if ($refusal !== null) {
            throw ValidationException::withMessages(['rehearsal' => $refusal]);
        }
        $this->stopOthers($author);
        $rehearsal = Rehearsal::query()->create([
            'author_id' => $author->id,
            'plan_id' => $variant->candidate->plan_id,
            'instrument_id' => $variant->candidate->instrument_id,
            'scope' => $scope,
            'sessions' => $sessions,
            'rule' => $rule->toState(),
            'state' => RunState::Queued,
            'as_of' => $this->clock->moment(),
        ]);
        RehearseSetup::dispatch($rehearsal->id);

        return $rehearsal->refresh();
    }

    /** Who asks anew no longer waits for the answer before. */
    private function stopOthers(User $author): void
    {
        Rehearsal::query()->where('author_id', $author->id)->whereIn('state', RunState::underWay())
            ->update(['state' => RunState::Cancelled, 'message' => 'Another rehearsal took its place.']);
    }
}
