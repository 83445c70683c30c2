<?php

declare(strict_types=1);

namespace App\Market;

use App\Clock\MarketClock;
use App\Models\Instrument;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Query\Builder;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;

/**
 * The only way to read bars. It knows the clock and hands out no bar that ends after it.
 */
final readonly class BarRepository
{
    private const FINEST_SECONDS = 300;
    private const EVERY_DAY = 20_000;

    public function __construct(private ConnectionInterface $db, private MarketClock $clock, private ExchangeCalendar $calendar)
    {
    }

    /**
     * Bars of a time frame that start at or after a moment, in time order.
     *
     * @return list<Bar>
     */
    public function from(Instrument $instrument, TimeFrame $timeFrame, int $start): array
    {
        return $this->bars($this->query($instrument, $timeFrame)->where('starts_at', '>=', $start)->orderBy('starts_at'));
    }

    /**
     * The last day bars, the last one unfinished while a session runs.
     *
     * @param int|null $until only what was known at this moment, if it lies before the clock
     */
    public function days(Instrument $instrument, int $count, ?int $until = null): Series
    {
        return Series::of($instrument->grid(), TimeFrame::Day, $this->dayBars($instrument, $count, $until));
    }

    /** The last price, in units; null for an instrument without bars. */
    public function lastClose(Instrument $instrument): ?int
    {
        return $this->days($instrument, 1)->lastClose();
    }

    /**
     * The last bars of any time frame: those within a session built from bars of five minutes, those longer than one
     * from day bars, the last one unfinished while its time runs.
     */
    public function series(Instrument $instrument, TimeFrame $timeFrame, int $count): Series
    {
        if ($timeFrame === TimeFrame::Day) {
            return $this->days($instrument, $count);
        }
        $seconds = $timeFrame->seconds();
        if ($seconds === null) {
            $small = $this->dayBars($instrument, self::EVERY_DAY);
        } else {
            $small = $this->latest($this->query($instrument, TimeFrame::FiveMinutes), $count * intdiv($seconds, self::FINEST_SECONDS));
        }
        $built = (new BarBuilder($this->sessionsOf($small)))->build($small, $timeFrame);

        return Series::of($instrument->grid(), $timeFrame, array_slice($built, -$count));
    }

    /**
     * The sessions that bars belong to, as the calendar has them.
     *
     * @param list<Bar> $bars
     */
    private function sessionsOf(array $bars): SessionBook
    {
        return new SessionBook($bars === [] ? [] : $this->calendar->between($bars[0]->session, $bars[count($bars) - 1]->session));
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

    private function query(Instrument $instrument, TimeFrame $timeFrame, ?int $until = null): Builder
    {
        $now = $this->clock->moment();

        return $this->db->table('bars')
            ->where('instrument_id', $instrument->id)
            ->where('timeframe', $timeFrame->value)
            ->where('ends_at', '<=', $until === null ? $now : min($until, $now));
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
