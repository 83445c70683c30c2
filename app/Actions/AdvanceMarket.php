<?php

declare(strict_types=1);

namespace App\Actions;

use App\Clock\MarketClock;
use App\Enums\RunState;
use App\Jobs\PlayMarket;
use App\Models\MarketRun;
use App\Models\User;
use Illuminate\Validation\ValidationException;
use Watchpost\Core\Market\ExchangeCalendar;

/** Lets the made-up market move on: by a bar, to the close of the session, or by several sessions. */
final readonly class AdvanceMarket
{
    public const MOST_SESSIONS = 60;
    private const BAR_SECONDS = 300;

    public function __construct(private MarketClock $clock, private ExchangeCalendar $calendar)
    {
    }

    public function byBar(User $user): MarketRun
    {
        $now = $this->clock->moment();
        $running = $this->calendar->running($now);
        $from = $running === null ? $this->calendar->opening($now)->open : $now;

        return $this->start($user, $from + self::BAR_SECONDS, 'to the next bar');
    }

    public function toClose(User $user): MarketRun
    {
        return $this->start($user, $this->nextClose(1), 'to the close');
    }

    public function bySessions(User $user, int $sessions): MarketRun
    {
        if ($sessions < 1 || $sessions > self::MOST_SESSIONS) {
            throw ValidationException::withMessages(['sessions' => 'Choose 1 to '.self::MOST_SESSIONS.' sessions.']);
        }

        return $this->start($user, $this->nextClose($sessions), $sessions === 1 ? '1 session' : "{$sessions} sessions");
    }

    /** The n-th close from now; a session under way is the first. */
    private function nextClose(int $n): int
    {
        $now = $this->clock->moment();
        $running = $this->calendar->running($now);
        if ($running === null) {
            return $this->calendar->opening($now, $n)->close;
        }

        return $n === 1 ? $running->close : $this->calendar->opening($now, $n - 1)->close;
    }

    private function start(User $user, int $until, string $label): MarketRun
    {
        if (MarketRun::underWay()->exists()) {
            throw ValidationException::withMessages(['market' => 'The market is being played already. Wait for it, or cancel it.']);
        }
        $run = MarketRun::query()->create([
            'user_id' => $user->id,
            'label' => $label,
            'until' => $until,
            'state' => RunState::Queued,
            'steps_total' => 0,
            'steps_done' => 0,
        ]);
        PlayMarket::dispatch($run->id);

        return $run->refresh();
    }
}
