<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/**
 * The sessions known to an evaluation: those listed by the calendar and, for a session that is not listed, one that
 * runs from its first bar's start for 390 minutes.
 */
final class SessionBook
{
    /** @var array<string, Session> */
    private array $sessions = [];

    /** @var array<string, array<string, int>> close of the last listed session of a period, by time frame and period */
    private array $periods = [];

    /** @var array<string, array<string, string>> period of a date, by time frame and date */
    private array $periodsOf = [];

    /** @var array<string, Session> */
    private readonly array $listed;

    /** @param iterable<Session> $listed */
    public function __construct(iterable $listed = [])
    {
        foreach ($listed as $session) {
            $this->sessions[$session->date] = $session;
        }
        $this->listed = $this->sessions;
    }

    /** The session of a bar; the first bar seen of a session that is not listed opens it. */
    public function of(string $date, int $firstBarStart): Session
    {
        return $this->sessions[$date] ?? ($this->sessions[$date] = new Session($date, $firstBarStart, $firstBarStart + Session::USUAL_MINUTES * 60));
    }

    /** The close of a session, null if nothing is known of it. */
    public function closeOf(string $date): ?int
    {
        return ($this->sessions[$date] ?? null)?->close;
    }

    /** The close of the last listed session of a session's week, month or quarter; null if none of it is listed. */
    public function closeOfPeriod(string $date, TimeFrame $timeFrame): ?int
    {
        if (! isset($this->periods[$timeFrame->value])) {
            $this->periods[$timeFrame->value] = [];
            foreach ($this->listed as $session) {
                $this->periods[$timeFrame->value][$this->periodOf($session->date, $timeFrame)] = $session->close;
            }
        }

        return $this->periods[$timeFrame->value][$this->periodOf($date, $timeFrame)] ?? null;
    }

    /** The period a date lies in, see {@see BarBuilder::period()}; looked up, since it is asked for at every bar. */
    public function periodOf(string $date, TimeFrame $timeFrame): string
    {
        return $this->periodsOf[$timeFrame->value][$date] ?? ($this->periodsOf[$timeFrame->value][$date] = BarBuilder::period($date, $timeFrame));
    }

    /** When a bar ends: its start plus its time frame, but not past its session's close; a day bar at that close. */
    public function barEnd(TimeFrame $timeFrame, int $start, string $date): int
    {
        $close = $this->of($date, $start)->close;
        $length = $timeFrame->seconds();

        return $length === null ? $close : min($start + $length, $close);
    }
}
