<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/**
 * Builds bars of a larger time frame from smaller ones. Bars within a session are counted from the session's open and
 * end at its close at the latest; weeks are ISO weeks of session dates; months and quarters those of the calendar.
 * Missing bars stay missing: a larger bar holds what is there.
 *
 * Source: rules.md, Input (time frames).
 */
final readonly class BarBuilder
{
    /** 1 January 1970 was a Thursday. */
    private const MONDAY = 3;
    /** Days from 1 March of the year 0. */
    private const BEFORE_1970 = 719_468;

    public function __construct(private SessionBook $sessions)
    {
    }

    /**
     * @param list<Bar> $bars of a time frame no larger than the one asked for, in time order
     *
     * @return list<Bar> in time order; a week or longer bears the date of its first session
     */
    public function build(array $bars, TimeFrame $timeFrame): array
    {
        $built = [];
        $members = [];
        $key = null;
        foreach ($bars as $bar) {
            $next = $this->key($bar, $timeFrame);
            if ($next !== $key && $members !== []) {
                $built[] = $this->join($members, $timeFrame);
                $members = [];
            }
            $key = $next;
            $members[] = $bar;
        }
        if ($members !== []) {
            $built[] = $this->join($members, $timeFrame);
        }

        return $built;
    }

    /** A series of sessions as one of weeks, months or quarters; the last bar unfinished while its time runs. */
    public function larger(Series $days, TimeFrame $timeFrame): Series
    {
        return Series::of($days->grid, $timeFrame, $this->build($days->bars(), $timeFrame));
    }

    /** The week, month, quarter or day that a session belongs to, as a text that is the same for all of its sessions. */
    public static function period(string $date, TimeFrame $timeFrame): string
    {
        return match ($timeFrame) {
            TimeFrame::Week => 'week '.intdiv(self::dayNumber($date) + self::MONDAY, 7),
            TimeFrame::Month => substr($date, 0, 7),
            TimeFrame::Quarter => substr($date, 0, 4).'-Q'.intdiv((int) substr($date, 5, 2) + 2, 3),
            default => $date,
        };
    }

    /**
     * Days from 1 January 1970 to a date; plain arithmetic on the calendar, since it is done for every bar.
     *
     * Formula: the count of days of the years, months and leap days that have passed, with years that begin in March.
     */
    private static function dayNumber(string $date): int
    {
        $month = ((int) substr($date, 5, 2) + 9) % 12;
        $year = (int) substr($date, 0, 4) - intdiv($month, 10);

        return 365 * $year + intdiv($year, 4) - intdiv($year, 100) + intdiv($year, 400) + intdiv(153 * $month + 2, 5) + (int) substr($date, 8, 2) - 1 - self::BEFORE_1970;
    }

    /** The number of a bar counted from the session's open; negative before it. */
    public static function place(int $after, int $seconds): int
    {
        return (int) floor($after / $seconds);
    }

    private function key(Bar $bar, TimeFrame $timeFrame): string
    {
        $seconds = $timeFrame->seconds();

        return $seconds === null
            ? self::period($bar->session, $timeFrame)
            : $bar->session.'#'.self::place($bar->start - $this->sessions->of($bar->session, $bar->start)->open, $seconds);
    }

    /** @param non-empty-list<Bar> $members */
    private function join(array $members, TimeFrame $timeFrame): Bar
    {
        $bar = Bar::join($members);
        $session = $this->sessions->of($bar->session, $bar->start);
        $seconds = $timeFrame->seconds();
        $start = $seconds === null ? $bar->start : $session->open + self::place($bar->start - $session->open, $seconds) * $seconds;
        $end = match (true) {
            // a bar of the hours after the session does not end with it
            $seconds !== null => $start < $session->close ? min($start + $seconds, $session->close) : $start + $seconds,
            $timeFrame === TimeFrame::Day => $session->close,
            default => $bar->end,
        };

        return new Bar($start, $end, $bar->session, $bar->open, $bar->high, $bar->low, $bar->close, $bar->volume);
    }
}
