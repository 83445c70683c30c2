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

    /** The week, month, quarter or day that a session belongs to, as a text that is the same for all of its sessions. */
    public static function period(string $date, TimeFrame $timeFrame): string
    {
        $day = new \DateTimeImmutable($date);

        return match ($timeFrame) {
            TimeFrame::Week => $day->format('o-\WW'),
            TimeFrame::Month => $day->format('Y-m'),
            TimeFrame::Quarter => $day->format('Y').'-Q'.intdiv((int) $day->format('n') + 2, 3),
            default => $date,
        };
    }

    private function key(Bar $bar, TimeFrame $timeFrame): string
    {
        $seconds = $timeFrame->seconds();

        return $seconds === null
            ? self::period($bar->session, $timeFrame)
            : $bar->session.'#'.intdiv($bar->start - $this->sessions->of($bar->session, $bar->start)->open, $seconds);
    }

    /** @param non-empty-list<Bar> $members */
    private function join(array $members, TimeFrame $timeFrame): Bar
    {
        $bar = Bar::join($members);
        $session = $this->sessions->of($bar->session, $bar->start);
        $seconds = $timeFrame->seconds();
        $start = $seconds === null ? $bar->start : $session->open + intdiv($bar->start - $session->open, $seconds) * $seconds;
        $end = match (true) {
            $seconds !== null => min($start + $seconds, $session->close),
            $timeFrame === TimeFrame::Day => $session->close,
            default => $bar->end,
        };

        return new Bar($start, $end, $bar->session, $bar->open, $bar->high, $bar->low, $bar->close, $bar->volume);
    }
}
