<?php

declare(strict_types=1);

namespace App\Clock;

use Watchpost\Core\Market\ExchangeCalendar;

/** Writes moments and dates for people: in the exchange's time, with UTC beside it. */
final readonly class TimeLabel
{
    public function __construct(private ExchangeCalendar $calendar)
    {
    }

    /** "Wed 14 Oct 2026, 19:00 Quay time (18:00 UTC)" */
    public function full(int $moment): string
    {
        return $this->local($moment)->format('D j M Y, H:i').' Quay time ('.gmdate('H:i', $moment).' UTC)';
    }

    /** "14 Oct 09:35", in the exchange's time. */
    public function short(int $moment): string
    {
        return $this->local($moment)->format('j M H:i');
    }

    /** "Thu 22 Oct", in the exchange's time. */
    public function shortDay(int $moment): string
    {
        return $this->local($moment)->format('D j M');
    }

    public function time(int $moment): string
    {
        return $this->local($moment)->format('H:i');
    }

    public function utc(int $moment): string
    {
        return gmdate('H:i', $moment);
    }

    public function day(int $moment): string
    {
        return $this->local($moment)->format('D j M Y');
    }

    /** "15 Oct 2026" */
    public function plainDate(string $date): string
    {
        return (new \DateTimeImmutable($date))->format('j M Y');
    }

    /** "Thu 15 Oct 2026" */
    public function shortDate(string $date): string
    {
        return (new \DateTimeImmutable($date))->format('D j M Y');
    }

    /** "Thursday 15 October 2026" */
    public function date(string $date): string
    {
        return (new \DateTimeImmutable($date))->format('l j F Y');
    }

    /** "09:30 Quay time (08:30 UTC)", and whether it is a half day. */
    public function opening(string $date): string
    {
        $session = $this->calendar->session($date);
        if ($session === null) {
            return 'closed';
        }
        $half = $this->calendar->isHalfDay($date) ? ', half day' : '';

        return $this->time($session->open).' Quay time ('.$this->utc($session->open).' UTC)'.$half;
    }

    private function local(int $moment): \DateTimeImmutable
    {
        return (new \DateTimeImmutable('@'.$moment))->setTimezone($this->calendar->zone);
    }
}
