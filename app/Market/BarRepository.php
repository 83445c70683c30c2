<?php

declare(strict_types=1);

namespace App\Market;

use App\Clock\MarketClock;
use App\Models\Instrument;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Query\Builder;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\Split;
use Watchpost\Core\Market\TimeFrame;

/**
 * The only way to read bars. It knows the clock and hands out no bar that ends after it. Series for people are on the
 * scale of the last split; bars for the engine are as they were traded.
 */
final readonly class BarRepository
{
    private const FINEST_SECONDS = 300;
    private const EVERY_DAY = 20_000;

    public function __construct(private ConnectionInterface $db, private MarketClock $clock, private Calendars $calendars, private Splits $splits)
    {
    }

    /**
     * Bars of a time frame that start at or after a moment, in time order, as they were traded.
     *
     * @param bool $extended with those of the hours around the sessions, which no setup may see
     *
     * @return list<Bar>
     */
    public function from(Instrument $instrument, TimeFrame $timeFrame, int $start, bool $extended = false): array
    {
        return $this->bars($this->query($instrument, $timeFrame, null, $extended)->where('starts_at', '>=', $start)->orderBy('starts_at'));
    }

    /**
     * The same, and before the first of them a bar for each session of which only the day is known: averages of months
     * are longer than the finest bars are kept.
     *
     * @param int $before a day from which on only bars of the time frame count, for nothing may act on a whole session
     *
     * @return list<Bar> a whole session counts as one bar of the time frame
     */
    public function fromSessions(Instrument $instrument, TimeFrame $timeFrame, int $start, int $before): array
    {
        $fine = $this->from($instrument, $timeFrame, $start);
        $first = $fine[0]->session ?? '9999';
        $whole = $timeFrame->isFinerThan(TimeFrame::Day) ? $this->from($instrument, TimeFrame::Day, $start) : [];

        return [...array_values(array_filter($whole, static fn (Bar $day): bool => $day->session < $first && $day->start < $before)), ...$fine];
    }

    /**
     * When the first bar starts of the n-th session before a moment, or of the first there is; the moment itself
     * without any.
     */
    public function startOfSessionBefore(Instrument $instrument, TimeFrame $timeFrame, int $moment, int $sessions): int
    {
        $starts = $this->query($instrument, $timeFrame)
            ->where('starts_at', '<', $moment)
            ->groupBy('session')
            ->orderByDesc('session')
            ->limit($sessions)
            ->selectRaw('min(starts_at) as start')
            ->pluck('start');

        return is_int($starts->last()) ? $starts->last() : $moment;
    }

    /**
     * The last day bars, the last one unfinished while a session runs.
     *
     * @param int|null $until only what was known at this moment, if it lies before the clock
     */
    public function days(Instrument $instrument, int $count, ?int $until = null): Series
    {
        return Series::of($instrument->grid(), TimeFrame::Day, $this->adjusted($instrument, $this->dayBars($instrument, $count, $until)));
    }

    /** The last price, in units; null for an instrument without bars. */
    public function lastClose(Instrument $instrument): ?int
    {
        return $this->days($instrument, 1)->lastClose();
    }

    /**
     * The last bars of any time frame: those within a session built from bars of five minutes, those longer than one
     * from day bars, the last one unfinished while its time runs.
     *
     * @param bool     $extended with the bars of the hours around the sessions, where the time frame is shorter than one
     * @param int|null $until    only what was known at this moment, if it lies before the clock
     */
    public function series(Instrument $instrument, TimeFrame $timeFrame, int $count, bool $extended = false, ?int $until = null): Series
    {
        if ($timeFrame === TimeFrame::Day) {
            return $this->days($instrument, $count, $until);
        }
        $seconds = $timeFrame->seconds();
        if ($seconds === null) {
            $small = $this->dayBars($instrument, self::EVERY_DAY, $until);
        } else {
            $small = $this->latest($this->query($instrument, TimeFrame::FiveMinutes, $until, $extended), $count * intdiv($seconds, self::FINEST_SECONDS));
        }
        // bars longer than a session do not ask when it opens
        $sessions = $seconds === null ? new SessionBook() : $this->sessionsOf($instrument, $small);
        $built = (new BarBuilder($sessions))->build($this->adjusted($instrument, $small), $timeFrame);

        return Series::of($instrument->grid(), $timeFrame, array_slice($built, -$count));
    }

    /**
     * Closes of the last finished sessions of many instruments, in currency.
     *
     * @param list<Instrument> $instruments
     *
     * @return array<string, array<string, float>> by symbol, then by date in order
     */
    public function closes(array $instruments, int $sessions): array
    {
        $closes = [];
        foreach ($instruments as $instrument) {
            $series = Series::of($instrument->grid(), TimeFrame::Day, $this->adjusted($instrument, $this->latest($this->query($instrument, TimeFrame::Day), $sessions)));
            $closes[$instrument->symbol] = $series->closesBy($series->session);
        }

        return $closes;
    }

    /** The date of the first day bar known; null without any. */
    public function firstDate(Instrument $instrument): ?string
    {
        $date = $this->query($instrument, TimeFrame::Day)->min('session');

        return is_string($date) ? $date : null;
    }

    /** @return list<string> the dates that have a day bar, in order */
    public function dates(Instrument $instrument): array
    {
        /** @var list<string> */
        return $this->query($instrument, TimeFrame::Day)->orderBy('starts_at')->pluck('session')->all();
    }

    /**
     * Brings bars to the scale of today.
     *
     * @param list<Bar> $bars
     *
     * @return list<Bar>
     */
    private function adjusted(Instrument $instrument, array $bars): array
    {
        $splits = $bars === [] ? [] : $this->splits->of($instrument);

        return $splits === [] ? $bars : Split::adjust($bars, $splits, '9999-12-31');
    }

    /**
     * The sessions that bars belong to, as the calendar has them.
     *
     * @param list<Bar> $bars
     */
    private function sessionsOf(Instrument $instrument, array $bars): SessionBook
    {
        return new SessionBook($bars === [] ? [] : $this->calendars->of($instrument)->between($bars[0]->session, $bars[count($bars) - 1]->session));
    }

    /** @return list<Bar> in time order */
    private function latest(Builder $query, int $count): array
    {
        return array_reverse($this->bars($query->orderByDesc('starts_at')->limit($count)));
    }

    /**
     * Day bars, and after them the session under way so far as one bar, from its bars of five minutes.
     *
     * @return list<Bar>
     */
    private function dayBars(Instrument $instrument, int $count, ?int $until = null): array
    {
        $days = $this->latest($this->query($instrument, TimeFrame::Day, $until), $count);
        $after = $days === [] ? 0 : $days[count($days) - 1]->end;
        $running = $this->bars($this->query($instrument, TimeFrame::FiveMinutes, $until)->where('starts_at', '>=', $after)->orderBy('starts_at'));

        return $running === [] ? $days : [...$days, Bar::join($running)];
    }

    private function query(Instrument $instrument, TimeFrame $timeFrame, ?int $until = null, bool $extended = false): Builder
    {
        $now = $this->clock->moment();
        $query = $this->db->table('bars')
            ->where('instrument_id', $instrument->id)
            ->where('timeframe', $timeFrame->value)
            ->where('ends_at', '<=', $until === null ? $now : min($until, $now));

        return $extended ? $query : $query->where('extended', false);
    }

    /** @return list<Bar> */
    private function bars(Builder $query): array
    {
        $bars = [];
        foreach ($query->get(['starts_at', 'ends_at', 'session', 'open', 'high', 'low', 'close', 'volume']) as $row) {
            /** @var object{starts_at: int, ends_at: int, session: string, open: int, high: int, low: int, close: int, volume: int} $row */
            $bars[] = new Bar($row->starts_at, $row->ends_at, $row->session, $row->open, $row->high, $row->low, $row->close, $row->volume);
        }

        return $bars;
    }
}
