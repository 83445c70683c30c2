<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\AddCandidate;
use App\Actions\ChangeSetup;
use App\Actions\JudgeCandidate;
use App\Actions\PublishPlan;
use App\Clock\MarketClock;
use App\Enums\CandidateState;
use App\Enums\Role;
use App\Feeds\SimulatedFeed;
use App\Market\BarRepository;
use App\Models\Candidate;
use App\Models\Edition;
use App\Models\Exchange;
use App\Models\Instrument;
use App\Models\Plan;
use App\Models\Tier;
use App\Models\User;
use App\Planning\CurrentPlan;
use App\Planning\Variant;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Collection;
use Watchpost\Simulator\QuayExchange;

/**
 * A small made-up world for a test: a few instruments, five weeks of their history, the evening of 20 November 2024,
 * and one person of each role.
 */
trait World
{
    use RefreshDatabase;

    protected const EVENING = '2024-11-20T18:00:00Z';
    protected const FIRST_DATE = '2024-10-14';

    protected User $author;
    protected User $assistant;
    protected User $pilot;
    protected User $harbour;

    /** Called by Laravel's test case, by its name. */
    protected function setUpWorld(): void
    {
        $this->author = $this->person('maren', Role::Author);
        $this->assistant = $this->person('tobias', Role::Assistant);
        $this->assistant->update(['works_for_id' => $this->author->id]);
        $this->pilot = $this->person('ines', Role::Subscriber, 'pilot');
        $this->harbour = $this->person('jonas', Role::Subscriber, 'harbour');
        foreach (QuayExchange::exchanges() as $calendar) {
            Exchange::list($calendar);
        }
        foreach ($this->symbols() as $symbol) {
            Instrument::list(QuayExchange::listings()[$symbol]->instrument);
        }
        $evening = (int) strtotime(self::EVENING);
        app(SimulatedFeed::class)->deliverHistory($evening, '2024-11-18', $this->firstDate());
        app(MarketClock::class)->moveTo($evening);
    }

    /** @return list<string> what is listed in this world */
    protected function symbols(): array
    {
        return ['OAKL.Q', 'TARN.Q', 'GRIT.Q'];
    }

    /** From when on its history reaches. */
    protected function firstDate(): string
    {
        return self::FIRST_DATE;
    }

    protected function person(string $name, Role $role, ?string $tier = null): User
    {
        return User::query()->create(['name' => ucfirst($name), 'email' => "{$name}@watchpost.test", 'password' => 'lantern', 'role' => $role, 'tier' => $tier, 'joined_at' => '2024-10-01 12:00:00'])->refresh();
    }

    protected function instrument(string $symbol): Instrument
    {
        return Instrument::query()->where('symbol', $symbol)->firstOrFail();
    }

    protected function plan(): Plan
    {
        return app(CurrentPlan::class)->of($this->author);
    }

    protected function candidate(string $symbol): Candidate
    {
        return app(AddCandidate::class)($this->plan(), $this->instrument($symbol));
    }

    /** The last close moved by a share of it, as a price of the instrument. */
    protected function price(string $symbol, float $away): string
    {
        $instrument = $this->instrument($symbol);
        $close = app(BarRepository::class)->days($instrument, 1)->lastClose() ?? 0;

        return $instrument->grid()->format($instrument->grid()->nearestTick($close * (1 + $away)));
    }

    /** A kept candidate with a whole setup: a break a little above price, unless told otherwise. */
    protected function planned(string $symbol, float $entry = 0.005, float $stop = -0.03, float $target = 0.05, string $readers = Tier::VISITORS): Candidate
    {
        $candidate = $this->candidate($symbol);
        app(ChangeSetup::class)(new Variant($candidate), [
            'trigger' => $entry > 0 ? 'break' : 'touch',
            'entry' => $this->price($symbol, $entry),
            'stop' => $this->price($symbol, $stop),
            'targets' => [['price' => $this->price($symbol, $target), 'share' => '1']],
        ]);
        app(JudgeCandidate::class)($candidate->refresh(), CandidateState::Kept, '', $readers);

        return $candidate->refresh();
    }

    protected function publish(): Edition
    {
        return app(PublishPlan::class)($this->plan());
    }

    /**
     * The items of a property of a page.
     *
     * @return Collection<int, mixed>
     */
    protected static function items(mixed $property): Collection
    {
        return new Collection(is_iterable($property) ? array_values([...$property]) : []);
    }
}
