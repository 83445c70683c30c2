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
        $first = $members[0];
        $last = $members[count($members) - 1];
        $session = $this->sessions->of($first->session, $first->start);
        $seconds = $timeFrame->seconds();
        $start = $seconds === null ? $first->start : $session->open + intdiv($first->start - $session->open, $seconds) * $seconds;
        $end = match (true) {
            $seconds !== null => min($start + $seconds, $session->close),
            $timeFrame === TimeFrame::Day => $session->close,
            default => $last->end,
        };
        $high = $first->high;
        $low = $first->low;
        $volume = 0;
        foreach ($members as $bar) {
            $high = max($high, $bar->high);
            $low = min($low, $bar->low);
            $volume += $bar->volume;
        }

        return new Bar($start, $end, $first->session, $first->open, $high, $low, $last->close, $volume);
    }
}
