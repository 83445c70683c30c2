<?php

declare(strict_types=1);

namespace App\Subscribers;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Data\ChangeSinceData;
use App\Data\FollowedSetupData;
use App\Models\Edition;
use App\Models\Follow;
use App\Models\Outcome;
use App\Models\PublishedSetup;
use App\Models\Update;
use App\Models\User;
use App\Publishing\EditionReader;
use App\Record\EventWords;
use App\Record\OutcomePresenter;
use App\Record\UpdateWords;
use Watchpost\Core\Outcomes\Event;

/** What a reader has before them: the setups they follow, and what changed since they looked last. */
final readonly class ReadingRoom
{
    private const MOST = 40;
    /** For someone who never looked before: a week. */
    private const FIRST = 7 * 86_400;

    public function __construct(private EditionReader $editions, private OutcomePresenter $outcomes, private EventWords $words, private TimeLabel $times, private MarketClock $clock)
    {
    }

    /** @return list<FollowedSetupData> what was followed last first */
    public function followed(User $user, Reader $reader): array
    {
        /** @var list<int> $ids */
        $ids = Follow::query()->where('user_id', $user->id)->orderByDesc('id')->pluck('published_setup_id')->all();
        $rows = [];
        foreach (PublishedSetup::query()->with(['edition', 'instrument', 'outcome'])->whereKey($ids)->get()->sortBy(static fn (PublishedSetup $one): int => (int) array_search($one->id, $ids, true)) as $one) {
            if ($one->outcome !== null && $reader->mayRead($one)) {
                $sealed = $this->editions->setup($one->edition, $one->key);
                $rows[] = new FollowedSetupData($one->edition->number, $one->key, $one->instrument->symbol, $sealed->name, $sealed->sentence, $this->outcomes->present($one, $sealed, $one->outcome));
            }
        }

        return $rows;
    }

    public function since(User $user): int
    {
        return $user->seen_until ?? $this->clock->moment() - self::FIRST;
    }

    /** @return list<ChangeSinceData> the latest first */
    public function changes(User $user, Reader $reader): array
    {
        $since = $this->since($user);
        $followed = Follow::query()->where('user_id', $user->id)->pluck('published_setup_id')->flip();
        $changes = [];
        foreach (Edition::query()->where('published_at', '>', $since)->get() as $edition) {
            $changes[] = [$edition->published_at, new ChangeSinceData($this->times->full($edition->published_at), "Edition {$edition->number} is out: {$edition->kind->label()} for {$this->times->date($edition->session_date)}", "/editions/{$edition->number}", false)];
        }
        foreach (Update::query()->with(['publishedSetup.edition', 'publishedSetup.instrument', 'publishedSetup.outcome'])->where('at', '>', $since)->get() as $update) {
            $one = $update->publishedSetup;
            if ($reader->mayRead($one)) {
                $changes[] = [$update->at, $this->change($one, $update->at, UpdateWords::of($update), $followed->has($one->id))];
            }
        }
        $moved = PublishedSetup::query()->with(['edition', 'instrument', 'outcome'])->whereIn('id', Outcome::query()->where('as_of', '>', $since)->where('is_managed', false)->select('published_setup_id'))->get();
        foreach ($moved as $one) {
            if (! $reader->mayRead($one)) {
                continue;
            }
            foreach ($one->outcome->run['events'] ?? [] as $state) {
                $event = Event::fromState($state);
                if ($event->at > $since) {
                    $changes[] = [$event->at, $this->change($one, $event->at, $this->words->withPrice($event), $followed->has($one->id))];
                }
            }
        }
        usort($changes, static fn (array $a, array $b): int => [$b[1]->isFollowed, $b[0]] <=> [$a[1]->isFollowed, $a[0]]);

        return array_column(array_slice($changes, 0, self::MOST), 1);
    }

    private function change(PublishedSetup $one, int $at, string $what, bool $isFollowed): ChangeSinceData
    {
        return new ChangeSinceData($this->times->full($at), "{$one->instrument->symbol}: ".lcfirst($what), "/editions/{$one->edition->number}", $isFollowed);
    }
}
