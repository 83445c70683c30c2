<?php

declare(strict_types=1);

namespace App\Reviewing;

use App\Models\Candidate;
use App\Models\Edition;
use App\Models\Outcome;
use App\Models\Plan;
use App\Models\PublishedSetup;
use App\Models\User;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** What an evening looks back on: every setup of an author that is still alive, ended since the last edition, or stood in it. */
final readonly class LookBack
{
    /** @param Collection<int, PublishedSetup> $setups the newest edition first */
    private function __construct(public ?Edition $last, public Collection $setups)
    {
    }

    public static function of(User $author): self
    {
        $last = Edition::query()->where('author_id', $author->id)->orderByDesc('number')->first();
        $since = $last->published_at ?? 0;
        $setups = PublishedSetup::query()
            ->with(['outcome', 'managed', 'review'])
            ->whereRelation('edition', 'author_id', $author->id)
            ->where(static fn (Builder $one) => $one
                ->where('edition_id', $last->id ?? 0)
                // what is over was evaluated last when, or soon after, it ended
                ->orWhereIn('id', Outcome::query()->where('is_over', false)->orWhere('as_of', '>', $since)->select('published_setup_id')))
            ->whereHas('outcome')
            ->orderByDesc('edition_id')
            ->orderBy('id')
            ->get()
            ->filter(static fn (PublishedSetup $one): bool => self::isAlive($one) || $one->edition_id === $last?->id || self::endedAt($one) > $since);

        return new self($last, $setups->values());
    }

    public static function isAlive(PublishedSetup $one): bool
    {
        return $one->outcome?->is_over === false || $one->managed?->is_over === false;
    }

    /** The moment of the last thing that happened to it. */
    private static function endedAt(PublishedSetup $one): int
    {
        $moments = [0];
        foreach ([$one->outcome, $one->managed] as $row) {
            foreach ($row->run['events'] ?? [] as $event) {
                $moments[] = $event[0];
            }
        }

        return max($moments);
    }

    /** How many still wait for the author in a plan: what is alive to be carried over or let go, what ended to be judged. */
    public function unsettled(Plan $plan): int
    {
        $candidates = $this->candidates($plan);

        return $this->setups->filter(fn (PublishedSetup $one): bool => ! self::isSettled($one, $candidates->get($one->instrument_id)))->count();
    }

    public static function isSettled(PublishedSetup $one, ?Candidate $candidate): bool
    {
        $isCarried = $candidate !== null && $candidate->carried_id !== null;
        $isJudged = $one->review?->reason !== null;

        return $isJudged || $isCarried || $one->review?->is_let_go === true;
    }

    /** @return Collection<int, Candidate> of a plan, by instrument */
    public function candidates(Plan $plan): Collection
    {
        return $plan->candidates()->whereIn('instrument_id', $this->setups->pluck('instrument_id'))->get()->keyBy('instrument_id');
    }
}
