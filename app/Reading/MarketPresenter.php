<?php

declare(strict_types=1);

namespace App\Reading;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Data\AverageSettingData;
use App\Data\BreadthData;
use App\Data\GroupData;
use App\Data\MarketData;
use App\Data\MarketEventData;
use App\Data\SeasonData;
use App\Market\AverageSetting;
use App\Market\Events;
use App\Market\MarketState;
use App\Models\EventWeight;
use App\Models\Instrument;
use App\Models\MarketEvent;
use App\Models\Plan;
use App\Models\User;
use Illuminate\Contracts\Cache\Repository;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\MarketEventKind;

/** The step Market: what an author looks at before any candidate. */
final readonly class MarketPresenter
{
    private const SESSIONS_AHEAD = 10;
    private const MOST_SEASONS = 3;

    public function __construct(
        private Gauges $gauges,
        private Seasons $seasons,
        private Events $events,
        private MarketClock $clock,
        private ExchangeCalendar $calendar,
        private TimeLabel $times,
        private Repository $cache,
        private MarketState $state,
    ) {
    }

    public function of(User $author, Plan $plan): MarketData
    {
        $settings = MarketSettings::of($author);
        [$groups, $breadth] = $this->participation();
        $until = $this->calendar->opening($this->clock->moment(), self::SESSIONS_AHEAD)->date;
        [$events, $other] = $this->events($author, $plan, $until);

        return new MarketData(
            $this->gauges->of($author, $settings),
            Participation::HORIZONS,
            $groups,
            $breadth,
            $this->seasons($settings),
            $events,
            $other,
            array_map(static fn (AverageSetting $one): AverageSettingData => new AverageSettingData($one->kind, $one->period), $settings->order),
            $this->times->date($until),
        );
    }

    /** @return array{list<GroupData>, BreadthData|null} */
    private function participation(): array
    {
        /** @var array{list<GroupData>, BreadthData|null} */
        return $this->cache->remember('market.participation.'.$this->state->key(), 86_400, static function (): array {
            $participation = app(Participation::class);

            return [$participation->groups(), $participation->breadth()];
        });
    }

    /** @return list<SeasonData> of the indexes among the gauges */
    private function seasons(MarketSettings $settings): array
    {
        $indexes = Instrument::query()->whereIn('symbol', $settings->gauges)->where('kind', InstrumentKind::Index)->get()
            ->sortBy(static fn (Instrument $one): int => (int) array_search($one->symbol, $settings->gauges, true))->take(self::MOST_SEASONS)->values();

        return array_values($indexes->map(fn (Instrument $index): SeasonData => $this->cache->remember("market.season.{$index->id}.".$this->state->key(), 86_400, fn (): SeasonData => $this->seasons->of($index)))->all());
    }

    /**
     * Events of the whole market and of the candidates; earnings of others are only counted.
     *
     * @return array{list<MarketEventData>, int}
     */
    private function events(User $author, Plan $plan, string $until): array
    {
        $today = $this->calendar->dateOf($this->clock->moment());
        $candidates = $plan->candidates()->pluck('instrument_id')->all();
        $weights = EventWeight::query()->where('author_id', $author->id)->get()->keyBy('market_event_id');
        $events = [];
        $other = 0;
        foreach ($this->events->between($today, $until) as $event) {
            $ofCandidate = in_array($event->instrument_id, $candidates, true);
            $weight = $weights->get($event->id);
            if ($event->instrument_id !== null && ! $ofCandidate && $weight === null && $event->kind === MarketEventKind::Earnings) {
                ++$other;
                continue;
            }
            $events[] = $this->event($event, $ofCandidate, $weight);
        }

        return [$events, $other];
    }

    private function event(MarketEvent $event, bool $ofCandidate, ?EventWeight $weight): MarketEventData
    {
        return new MarketEventData(
            $event->id,
            $event->date,
            $this->times->shortDate($event->date),
            implode(', ', array_filter([$event->time === null ? null : "{$event->time} Quay time", $event->side?->label()])),
            $event->kind->label(),
            $event->title,
            $event->instrument?->symbol,
            $event->source,
            $ofCandidate,
            $weight->weight ?? 0,
            $weight->note ?? '',
        );
    }
}
