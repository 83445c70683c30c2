<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Data\ChoiceData;
use App\Data\ClockData;
use App\Data\MarketRunData;
use App\Data\PersonData;
use App\Models\MarketRun;
use App\Models\Tier;
use App\Models\User;
use App\Planning\DayLine;
use App\Subscribers\Tiers;
use Illuminate\Http\Request;
use Inertia\Middleware;
use Watchpost\Core\Market\ExchangeCalendar;

final class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    public function __construct(private readonly MarketClock $clock, private readonly ExchangeCalendar $calendar, private readonly TimeLabel $times, private readonly DayLine $dayLine, private readonly Tiers $tiers)
    {
    }

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        $user = $request->user();

        return [
            ...parent::share($request),
            'notice' => static fn (): mixed => $request->hasSession() ? $request->session()->get('notice') : null,
            'person' => fn (): ?PersonData => $user instanceof User ? new PersonData(
                $user->name,
                $user->role,
                $user->tier === null ? null : $this->tiers->all()->firstWhere('key', $user->tier)?->name,
                $user->can('plan'),
                $user->can('publish'),
                $user->can('play-market'),
            ) : null,
            'tiers' => fn (): array => $user instanceof User && $user->can('plan') ? array_values($this->tiers->all()->map(static fn (Tier $tier): ChoiceData => new ChoiceData($tier->key, $tier->name))->all()) : [],
            'clock' => fn (): ?ClockData => $user instanceof User ? $this->clockData() : null,
            'dayLine' => fn (): array => $user instanceof User && $user->can('plan') ? $this->dayLine->of($user) : [],
        ];
    }

    private function clockData(): ClockData
    {
        $now = $this->clock->moment();
        $running = $this->calendar->running($now);
        $next = $this->calendar->opening($now);
        $run = MarketRun::underWay()->latest('id')->first();

        return new ClockData(
            $this->times->day($now),
            $this->times->time($now),
            $this->times->utc($now),
            $running === null
                ? 'closed, opens '.$this->times->short($next->open)
                : 'open until '.$this->times->time($running->close),
            $run === null ? null : MarketRunData::of($run),
        );
    }
}
