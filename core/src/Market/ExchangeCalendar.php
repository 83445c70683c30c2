<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/**
 * When an exchange trades: regular hours in its own time zone on its days of the week, with holidays and half days, and
 * around them the extended hours in which prices are made that no regular session knows. A session may open on the
 * evening before its date. Daylight saving follows the zone.
 */
final readonly class ExchangeCalendar
{
    private const SEARCH_LIMIT_DAYS = 60;
    private const WORKING_DAYS = [1, 2, 3, 4, 5];

    /**
     * @param string                $open           local opening time, "09:30"
     * @param string                $close          local closing time, "16:00"; "24:00" for the end of the day
     * @param array<string, string> $holidays       name by date
     * @param array<string, string> $halfDays       local closing time by date
     * @param list<int>             $weekdays       days of session dates, 1 for Monday to 7 for Sunday
     * @param bool                  $opensDayBefore whether a session opens on the day before its date
     * @param string|null           $extendedOpen   local time from which prices are made before the session
     * @param string|null           $extendedClose  local time until which they are made after it
     */
    public function __construct(
        public string $name,
        public \DateTimeZone $zone,
        public string $open,
        public string $close,
        public array $holidays = [],
        public array $halfDays = [],
        public array $weekdays = self::WORKING_DAYS,
        public bool $opensDayBefore = false,
        public ?string $extendedOpen = null,
        public ?string $extendedClose = null,
        public string $code = '',
    ) {
    }

    /** The session of a date, null when the exchange is closed on it. */
    public function session(string $date): ?Session
    {
        if (isset($this->holidays[$date]) || ! in_array((int) (new \DateTimeImmutable($date))->format('N'), $this->weekdays, true)) {
            return null;
        }

        return new Session($date, $this->opensAt($date), $this->at($date, $this->halfDays[$date] ?? $this->close));
    }

    /** The time around a session in which prices are made at all: from the first extended hour to the last. */
    public function extended(Session $session): Session
    {
        return new Session(
            $session->date,
            $this->extendedOpen === null ? $session->open : min($session->open, $this->at($session->date, $this->extendedOpen)),
            $this->extendedClose === null ? $session->close : max($session->close, $this->at($session->date, $this->extendedClose)),
        );
    }

    private function opensAt(string $date): int
    {
        return $this->at($this->opensDayBefore ? self::dayBefore($date) : $date, $this->open);
    }

    private function at(string $date, string $time): int
    {
        return (new \DateTimeImmutable("{$date} {$time}", $this->zone))->getTimestamp();
    }

    public function isHalfDay(string $date): bool
    {
        return isset($this->halfDays[$date]);
    }

    /** @return list<Session> the sessions from one date to another, both included */
    public function between(string $from, string $to): array
    {
        $sessions = [];
        for ($date = $from; $date <= $to; $date = self::dayAfter($date)) {
            $session = $this->session($date);
            if ($session !== null) {
                $sessions[] = $session;
            }
        }

        return $sessions;
    }

    /**
     * The n-th session that opens after a moment (n = 1: the next one).
     *
     * @throws \RuntimeException when the calendar has no session within 60 days after the one before
     */
    public function opening(int $moment, int $n = 1): Session
    {
        $date = $this->dateOf($moment);
        for ($idle = 0; $idle < self::SEARCH_LIMIT_DAYS; ++$idle, $date = self::dayAfter($date)) {
            $session = $this->session($date);
            if ($session === null || $session->open <= $moment) {
                continue;
            }
            if (--$n === 0) {
                return $session;
            }
            $idle = 0;
        }
        throw new \RuntimeException("The calendar of {$this->name} has no session near {$date}.");
    }

    /**
     * The n-th session counted from a date, that of the date being the first if there is one on it.
     *
     * @throws \RuntimeException as opening()
     */
    public function countedFrom(string $date, int $n): Session
    {
        return $this->opening($this->opensAt($date) - 1, $n);
    }

    /** The session during which a moment falls; null outside of sessions. */
    public function running(int $moment): ?Session
    {
        $date = $this->dateOf($moment);
        foreach ($this->opensDayBefore ? [$date, self::dayAfter($date)] : [$date] as $candidate) {
            $session = $this->session($candidate);
            if ($session !== null && $moment >= $session->open && $moment < $session->close) {
                return $session;
            }
        }

        return null;
    }

    /** The last session that was over at a moment. */
    public function finished(int $moment): Session
    {
        $date = self::dayAfter($this->dateOf($moment));
        for ($idle = 0; $idle < self::SEARCH_LIMIT_DAYS; ++$idle, $date = self::dayBefore($date)) {
            $session = $this->session($date);
            if ($session !== null && $session->close <= $moment) {
                return $session;
            }
        }
        throw new \RuntimeException("The calendar of {$this->name} has no session near {$date}.");
    }

    public function dateOf(int $moment): string
    {
        return (new \DateTimeImmutable('@'.$moment))->setTimezone($this->zone)->format('Y-m-d');
    }

    private static function dayAfter(string $date): string
    {
        return self::day($date, '+1 day');
    }

    private static function dayBefore(string $date): string
    {
        return self::day($date, '-1 day');
    }

    private static function day(string $date, string $step): string
    {
        return (new \DateTimeImmutable($date.' 12:00', new \DateTimeZone('UTC')))->modify($step)->format('Y-m-d');
    }
}
