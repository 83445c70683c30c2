<?php

declare(strict_types=1);

namespace App\Planning;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Enums\CandidateState;
use App\Enums\PlanKind;
use App\Market\Calendars;
use App\Models\Candidate;
use App\Models\Plan;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\Session;

/** For which session or week a plan is, and by when it must be out. */
final readonly class PlanDates
{
    private const AHEAD = 8;
    private const WEEKS_AHEAD = 3;

    public function __construct(private MarketClock $clock, private ExchangeCalendar $calendar, private Calendars $calendars, private TimeLabel $times)
    {
    }

    /** @return array{session_date: string, through_date: string|null} of the next plan of a kind */
    public function next(PlanKind $kind): array
    {
        $next = $this->calendar->opening($this->clock->moment())->date;

        return $this->from($kind, $kind->isForWeek() && $this->weekOf($next)[0] !== $next ? $this->calendar->opening($this->endOfWeek($next))->date : $next);
    }

    /** @return array{session_date: string, through_date: string|null} of a plan that begins with a session, the rest of its week for one that is for a week */
    public function from(PlanKind $kind, string $date): array
    {
        return ['session_date' => $date, 'through_date' => $kind->isForWeek() ? $this->weekOf($date)[1] : null];
    }

    /** @return list<Session> for which a plan of a kind can be made, one that is running first */
    public function choices(PlanKind $kind): array
    {
        $now = $this->clock->moment();
        $running = $this->calendar->running($now);
        if (! $kind->isForWeek()) {
            $ahead = array_map(fn (int $n): Session => $this->calendar->opening($now, $n), range(1, self::AHEAD));

            return $running === null ? $ahead : [$running, ...$ahead];
        }
        $sessions = [$this->calendar->opening($now)];
        while (count($sessions) < self::WEEKS_AHEAD) {
            $sessions[] = $this->calendar->opening($this->endOfWeek($sessions[count($sessions) - 1]->date));
        }

        return $sessions;
    }

    /** Whether the session has opened but not closed yet. */
    public function isRunning(string $date): bool
    {
        return $this->calendar->running($this->clock->moment())?->date === $date;
    }

    /** "Thursday 15 October 2026", or "Monday 12 to Friday 16 October 2026". */
    public function words(string $from, ?string $through): string
    {
        if ($through === null || $through === $from) {
            return $this->times->date($from);
        }
        $same = substr($from, 0, 7) === substr($through, 0, 7);

        return (new \DateTimeImmutable($from))->format($same ? 'l j' : 'l j F').' to '.$this->times->date($through);
    }

    /**
     * By when a plan must be out: the first market that opens among those of its candidates.
     *
     * @return array{int, string} the moment, and what opens then
     */
    public function deadline(Plan $plan): array
    {
        $first = null;
        foreach ($plan->candidates()->with('instrument')->where('state', '!=', CandidateState::Passed)->get() as $candidate) {
            $open = $this->openOf($candidate, $plan);
            if ($first === null || $open < $first[0]) {
                $first = [$open, $candidate->instrument->symbol];
            }
        }

        return $first ?? [$this->calendar->countedFrom($plan->session_date, 1)->open, $this->calendar->name];
    }

    private function openOf(Candidate $candidate, Plan $plan): int
    {
        return $this->calendars->of($candidate->instrument)->countedFrom($plan->session_date, 1)->open;
    }

    private function endOfWeek(string $date): int
    {
        return $this->calendar->session($this->weekOf($date)[1])->close ?? 0;
    }

    /** @return array{string, string} the first and the last session of its ISO week */
    private function weekOf(string $date): array
    {
        $monday = (new \DateTimeImmutable($date))->modify('monday this week');
        $sessions = $this->calendar->between($monday->format('Y-m-d'), $monday->modify('+6 days')->format('Y-m-d'));

        return $sessions === [] ? [$date, $date] : [$sessions[0]->date, $sessions[count($sessions) - 1]->date];
    }
}
