<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Market\BarStore;
use App\Market\Calendars;
use App\Market\ReferenceStore;
use App\Models\Instrument;
use Illuminate\Database\ConnectionInterface;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\MarketEvent;
use Watchpost\Core\Market\MarketEventKind;
use Watchpost\Core\Market\Session;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Simulator\Listing;
use Watchpost\Simulator\ListingState;
use Watchpost\Simulator\QuayExchange;
use Watchpost\Simulator\Simulator;

/**
 * The feed of the made-up market. For each instrument a cursor keeps the last session that was delivered whole and the
 * state it left; a session under way is played again from there and only its bars up to the moment are let through.
 */
final class SimulatedFeed implements MarketFeed
{
    private const FINE_SECONDS = 300;
    private const SPLIT_NOTICE_SECONDS = 14 * 86_400;

    /** @var array<string, list<Session>> by exchange, first date and moment */
    private array $sessions = [];

    public function __construct(
        private readonly ConnectionInterface $db,
        private readonly Simulator $simulator,
        private readonly Calendars $calendars,
        private readonly BarStore $store,
        private readonly ReferenceStore $references,
    ) {
    }

    public function name(): string
    {
        return 'Simulated market of the coast';
    }

    public function deliverUntil(int $moment): void
    {
        $this->deliverHistory($moment, '');
    }

    /**
     * The years before the demo begins: day bars, and bars of five minutes for the sessions from a date on.
     *
     * @param string $firstDate of the history
     */
    public function deliverHistory(int $moment, string $fineFrom, string $firstDate = QuayExchange::FIRST_DATE): void
    {
        $listings = QuayExchange::listings();
        $instruments = Instrument::query()->orderBy('id')->get();
        $cursors = $this->db->table('feed_cursors')->get()->keyBy('instrument_id');
        foreach ($instruments as $instrument) {
            $listing = $listings[$instrument->symbol] ?? null;
            if ($listing === null) {
                continue;
            }
            /** @var object{session: ?string, state: string}|null $cursor */
            $cursor = $cursors->get($instrument->id);
            $this->deliverListing($instrument, $listing, $cursor, $moment, $fineFrom, $firstDate);
        }
        if ($cursors->isEmpty()) {
            /** @var array<string, int> $ids */
            $ids = $instruments->pluck('id', 'symbol')->all();
            $this->deliverEvents($ids, array_intersect_key($listings, $ids));
        }
        $this->sessions = [];
        $this->simulator->rest();
    }

    /** @param object{session: ?string, state: string}|null $cursor */
    private function deliverListing(Instrument $instrument, Listing $listing, ?object $cursor, int $moment, string $fineFrom, string $firstDate): void
    {
        $calendar = $this->calendars->of($instrument);
        $last = $cursor?->session;
        $state = $cursor === null ? $this->simulator->begin($listing, $firstDate) : $this->state($cursor->state);
        $days = $fine = $extended = [];
        $until = null;
        foreach ($this->sessionsAfter($calendar, $last, $moment, $firstDate) as $session) {
            $isFine = $session->date >= $fineFrom;
            $around = $calendar->extended($session);
            $played = $this->simulator->play($listing, $state, $session, $isFine ? self::FINE_SECONDS : null, $isFine && $instrument->isTraded() ? $around : null);
            $isListed = $session->date >= ($instrument->listed_on ?? '') && $session->date <= ($instrument->last_session ?? '9999');
            if ($isFine && $isListed) {
                array_push($fine, ...array_filter($played->bars, static fn (Bar $bar): bool => $bar->end <= $moment));
                array_push($extended, ...array_filter($played->extended, static fn (Bar $bar): bool => $bar->end <= $moment));
            }
            $day = $isListed && $session->close <= $moment ? $played->day($session->open, $session->close) : null;
            if ($day !== null) {
                $days[] = $day;
            }
            if ($around->close > $moment) {
                break;
            }
            $state = $played->state;
            $last = $until = $session->date;
        }
        $this->store->add($instrument->id, TimeFrame::FiveMinutes, $fine);
        $this->store->add($instrument->id, TimeFrame::FiveMinutes, $extended, extended: true);
        $this->store->add($instrument->id, TimeFrame::Day, $days);
        if ($until !== null) {
            $this->deliverReferences($instrument, $listing, $cursor->session ?? $firstDate, $until);
        }
        $this->db->table('feed_cursors')->updateOrInsert(
            ['instrument_id' => $instrument->id],
            ['session' => $last, 'state' => json_encode($state->toArray(), JSON_THROW_ON_ERROR)],
        );
    }

    private function deliverReferences(Instrument $instrument, Listing $listing, string $from, string $until): void
    {
        $this->references->splits($instrument, $this->simulator->diary->splits($instrument->symbol));
        $this->references->facts($instrument, $this->simulator->diary->facts($listing, $until));
        if ($instrument->isContinuous()) {
            $this->references->rolls($instrument, QuayExchange::rolls($instrument->symbol, $from, $until));
        }
    }

    /**
     * @param array<string, int>     $ids      by symbol
     * @param array<string, Listing> $listings by symbol
     */
    private function deliverEvents(array $ids, array $listings): void
    {
        $events = $this->simulator->diary->coast();
        foreach ($listings as $listing) {
            array_push($events, ...$this->simulator->diary->events($listing));
        }
        $this->references->events($events, $this->announcedAt(...), $ids);
    }

    /** Dates are known ahead; what comes as a surprise is known when it happens. */
    private function announcedAt(MarketEvent $event): int
    {
        $session = $this->calendars->home()->session($event->date);

        return match (true) {
            $session === null => 0,
            $event->kind === MarketEventKind::Halt => $session->open,
            $event->kind === MarketEventKind::Offering => $session->close,
            $event->kind === MarketEventKind::Split => $session->open - self::SPLIT_NOTICE_SECONDS,
            default => 0,
        };
    }

    private function state(string $json): ListingState
    {
        /** @var array{price: float, middle: float, heat: float, phase: string, phase_left: int} $state */
        $state = json_decode($json, true, 8, JSON_THROW_ON_ERROR);

        return ListingState::fromArray($state);
    }

    /** @return list<Session> */
    private function sessionsAfter(ExchangeCalendar $calendar, ?string $date, int $moment, string $firstDate): array
    {
        // a session may open on the day before its date
        return $this->sessions["{$calendar->code}/{$date}/{$moment}"] ??= array_values(array_filter(
            $calendar->between($date ?? $firstDate, $calendar->dateOf($moment + 86_400)),
            static fn (Session $session): bool => $session->date !== $date && $calendar->extended($session)->open < $moment,
        ));
    }
}
