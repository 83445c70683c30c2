<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/**
 * When an exchange trades: regular hours in its own time zone, Monday to Friday, with holidays and half days.
 * Daylight saving follows the zone.
 */
final readonly class ExchangeCalendar
{
    private const SEARCH_LIMIT_DAYS = 60;

    /**
     * @param string                $open     local opening time, "09:30"
     * @param string                $close    local closing time, "16:00"
     * @param array<string, string> $holidays name by date
     * @param array<string, string> $halfDays local closing time by date
     */
    public function __construct(
        public string $name,
        public \DateTimeZone $zone,
        private string $open,
        private string $close,
        private array $holidays = [],
        private array $halfDays = [],
    ) {
    }

    /** The session of a date, null when the exchange is closed on it. */
    public function session(string $date): ?Session
    {
        $day = new \DateTimeImmutable($date, $this->zone);
        if ((int) $day->format('N') > 5 || isset($this->holidays[$date])) {
            return null;
        }

        return new Session(
            $date,
            (new \DateTimeImmutable("{$date} {$this->open}", $this->zone))->getTimestamp(),
            (new \DateTimeImmutable($date.' '.($this->halfDays[$date] ?? $this->close), $this->zone))->getTimestamp(),
        );
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
        return $this->opening((new \DateTimeImmutable("{$date} {$this->open}", $this->zone))->getTimestamp() - 1, $n);
    }

    /** The session during which a moment falls; null outside of sessions. */
    public function running(int $moment): ?Session
    {
        $session = $this->session($this->dateOf($moment));

        return $session !== null && $moment >= $session->open && $moment < $session->close ? $session : null;
    }

    public function dateOf(int $moment): string
    {
        return (new \DateTimeImmutable('@'.$moment))->setTimezone($this->zone)->format('Y-m-d');
    }

    private static function dayAfter(string $date): string
    {
        return (new \DateTimeImmutable($date.' 12:00', new \DateTimeZone('UTC')))->modify('+1 day')->format('Y-m-d');
    }
}
