<?php

declare(strict_types=1);

namespace App\Feeds;

use App\Market\BarStore;
use App\Models\Instrument;
use Illuminate\Database\ConnectionInterface;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\ExchangeCalendar;
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
final readonly class SimulatedFeed implements MarketFeed
{
    private const FINE_SECONDS = 300;
    private const COARSE_SECONDS = 1_800;

    public function __construct(
        private ConnectionInterface $db,
        private Simulator $simulator,
        private ExchangeCalendar $calendar,
        private BarStore $store,
    ) {
    }

    public function deliverUntil(int $moment): void
    {
        $this->deliverHistory($moment, '');
    }

    /**
     * The years before the demo begins: day bars, and bars of five minutes for the sessions from a date on.
     */
    public function deliverHistory(int $moment, string $fineFrom): void
    {
        $listings = QuayExchange::listings();
        foreach (Instrument::query()->orderBy('id')->get() as $instrument) {
            $listing = $listings[$instrument->symbol] ?? null;
            if ($listing !== null) {
                $this->deliverListing($instrument, $listing, $moment, $fineFrom);
            }
        }
    }

    private function deliverListing(Instrument $instrument, Listing $listing, int $moment, string $fineFrom): void
    {
        [$last, $state] = $this->cursor($instrument, $listing);
        $days = $fine = [];
        foreach ($this->sessionsAfter($last, $moment) as $session) {
            $isFine = $session->date >= $fineFrom;
            $played = $this->simulator->play($listing, $state, $session, $isFine ? self::FINE_SECONDS : self::COARSE_SECONDS);
            if ($isFine) {
                $fine = [...$fine, ...array_values(array_filter($played->bars, static fn (Bar $bar): bool => $bar->end <= $moment))];
            }
            if ($session->close > $moment) {
                break;
            }
            $days[] = $played->day();
            $state = $played->state;
            $last = $session->date;
        }
        $this->store->add($instrument->id, TimeFrame::FiveMinutes, $fine);
        $this->store->add($instrument->id, TimeFrame::Day, $days);
        $this->db->table('feed_cursors')->updateOrInsert(
            ['instrument_id' => $instrument->id],
            ['session' => $last, 'state' => json_encode($state->toArray(), JSON_THROW_ON_ERROR)],
        );
    }

    /** @return array{?string, ListingState} */
    private function cursor(Instrument $instrument, Listing $listing): array
    {
        /** @var object{session: ?string, state: string}|null $row */
        $row = $this->db->table('feed_cursors')->where('instrument_id', $instrument->id)->first(['session', 'state']);
        if ($row === null) {
            return [null, $this->simulator->begin($listing)];
        }
        /** @var array{price: float, middle: float, heat: float, phase: string, phase_left: int} $state */
        $state = json_decode($row->state, true, 8, JSON_THROW_ON_ERROR);

        return [$row->session, ListingState::fromArray($state)];
    }

    /** @return list<Session> */
    private function sessionsAfter(?string $date, int $moment): array
    {
        $sessions = $this->calendar->between($date ?? QuayExchange::FIRST_DATE, $this->calendar->dateOf($moment));

        return array_values(array_filter($sessions, static fn (Session $session): bool => $session->date !== $date && $session->open < $moment));
    }
}
