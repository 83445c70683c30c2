<?php

declare(strict_types=1);

namespace App\Reading;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Data\FactData;
use App\Data\FrameReadingData;
use App\Data\InstrumentData;
use App\Data\InstrumentPageData;
use App\Data\MarketEventData;
use App\Data\SessionData;
use App\Market\BarRepository;
use App\Market\Calendars;
use App\Market\Events;
use App\Market\MarketState;
use App\Models\Candidate;
use App\Models\Instrument;
use App\Models\MarketEvent;
use App\Models\User;
use App\Planning\CurrentPlan;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Database\ConnectionInterface;
use Watchpost\Core\Indicators\AverageDailyRange;
use Watchpost\Core\Levels\Distance;
use Watchpost\Core\Market\FactKind;
use Watchpost\Core\Market\InstrumentKind;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Scanning\Ratio;

/** Everything that is known of one instrument. */
final readonly class InstrumentPresenter
{
    public const FRAMES = [TimeFrame::Hour, TimeFrame::Day, TimeFrame::Week, TimeFrame::Month];
    private const DAYS = 1_600;
    private const BARS = 420;
    private const SESSIONS_SHOWN = 5;
    private const DAILY_RANGE = 20;

    public function __construct(
        private BarRepository $bars,
        private Calendars $calendars,
        private MarketClock $clock,
        private TimeLabel $times,
        private Events $events,
        private FrameReader $frames,
        private NextSession $next,
        private ConnectionInterface $db,
        private CurrentPlan $current,
        private Repository $cache,
        private MarketState $state,
    ) {
    }

    public function page(Instrument $instrument, User $author): InstrumentPageData
    {
        $days = $this->bars->days($instrument, self::DAYS);
        $last = $days->count() - 1;
        $order = MarketSettings::of($author)->order;

        return new InstrumentPageData(
            InstrumentData::of($instrument),
            $instrument->isTraded(),
            $last < 0 ? null : $days->grid->format($days->close[$last]),
            $last < 1 ? null : Distance::from($days->close[$last], $days->close[$last - 1], null)->percent,
            $instrument->labels,
            $this->terms($instrument),
            [...$this->strength($instrument, $days), ...$this->facts($instrument)],
            $this->reports($instrument),
            array_map($this->event(...), $this->events->around($instrument, $this->today(), 4, 4)),
            $this->sessions($instrument),
            array_map(fn (TimeFrame $frame): FrameReadingData => $this->frames->read($frame === TimeFrame::Day ? $days : $this->bars->series($instrument, $frame, self::BARS), $order), self::FRAMES),
            $this->next->expected($days),
            $this->next->odds($days, $order),
            Candidate::query()->where(['plan_id' => $this->current->of($author)->id, 'instrument_id' => $instrument->id])->first()?->id,
        );
    }

    private function today(): string
    {
        return $this->calendars->home()->dateOf($this->clock->moment());
    }

    /** @return list<FactData> */
    private function terms(Instrument $one): array
    {
        $grid = $one->grid();
        $fund = $one->fundTerms();

        return array_values(array_filter([
            new FactData('Kind', $one->kind->label(), $one->isContinuous() ? 'joined from its contracts; watched, not traded' : ($one->isTraded() ? '' : 'watched, not traded')),
            new FactData('Group', $one->group, $one->kind === InstrumentKind::Pair ? '' : $one->sector),
            new FactData('Exchange', $this->calendars->of($one)->name, ''),
            new FactData('Price', "{$one->decimals} decimals, tick {$grid->format($one->tick)}", $one->currency),
            $one->pip === null ? null : new FactData('Pip', $grid->format($one->pip), ''),
            $one->lot === 1 ? null : new FactData('Lot', number_format($one->lot), 'units'),
            $one->point_value === '1' ? null : new FactData('Point value', $one->point_value, "{$one->currency} for a move of 1.0"),
            $fund === null ? null : new FactData('Fund', $fund->label().' '.($fund->tracks === '' ? $one->group : $fund->tracks), 'session by session'),
            $one->series === null ? null : new FactData('Contract of', $one->series, 'last session '.$this->times->date((string) $one->last_session)),
            $one->benchmark === null ? null : new FactData('Measured against', $one->benchmark, ''),
            $one->listed_on === null ? null : new FactData('Listed', $this->times->date($one->listed_on), ''),
        ]));
    }

    /** @return list<FactData> the latest of each kind */
    private function facts(Instrument $instrument): array
    {
        $facts = [];
        foreach (FactKind::cases() as $kind) {
            $row = $kind === FactKind::Sales || $kind === FactKind::EarningsPerShare ? null : $this->known($instrument, $kind)[0] ?? null;
            if ($row !== null) {
                $facts[] = new FactData($kind->label(), self::figure($row->value, $kind), "{$row->date}, {$row->source}");
            }
        }

        return $facts;
    }

    /** @return list<FactData> */
    private function reports(Instrument $instrument): array
    {
        $perShare = collect($this->known($instrument, FactKind::EarningsPerShare))->keyBy('of');

        return array_map(static fn (object $sales): FactData => new FactData(
            $sales->of,
            self::figure($sales->value, FactKind::Sales),
            $perShare->has($sales->of) ? (string) $perShare->get($sales->of)?->value : '',
        ), array_slice($this->known($instrument, FactKind::Sales), 0, 6));
    }

    /** @return list<object{date: string, of: string, value: string, source: string}> the latest first, none later than the clock */
    private function known(Instrument $instrument, FactKind $kind): array
    {
        /** @var list<object{date: string, of: string, value: string, source: string}> */
        return $this->db->table('facts')->where(['instrument_id' => $instrument->id, 'kind' => $kind->value])->where('date', '<=', $this->today())->orderByDesc('date')->get(['date', 'of', 'value', 'source'])->all();
    }

    private static function figure(string $value, FactKind $kind): string
    {
        $plain = preg_match('/^\d+$/', $value) === 1 ? number_format((float) $value) : $value;

        return trim("{$plain} {$kind->unit()}");
    }

    /** @return list<FactData> how it does beside others */
    private function strength(Instrument $instrument, Series $days): array
    {
        $facts = [];
        $ranges = AverageDailyRange::of($days->highs(), $days->lows(), self::DAILY_RANGE);
        $range = $ranges === [] ? null : $ranges[count($ranges) - 1];
        if ($range !== null) {
            $facts[] = new FactData('Average daily range', number_format($range, 2).' %', 'of '.self::DAILY_RANGE.' sessions');
        }
        if ($instrument->kind === InstrumentKind::Share) {
            /** @var float|null $rank */
            $rank = $this->cache->remember("market.rank.{$instrument->id}.".$this->state->key(), 86_400, static fn (): ?float => app(Participation::class)->rank($instrument->symbol));
            $facts[] = $rank === null
                ? new FactData('Strength among shares', 'too young', 'needs 126 sessions')
                : new FactData('Strength among shares', number_format($rank).' of 100', 'percentile of the 126-session return');
        }
        $benchmark = $instrument->benchmark === null ? null : Instrument::query()->where('symbol', $instrument->benchmark)->first();
        if ($benchmark !== null) {
            $against = $this->bars->days($benchmark, self::DAYS);
            $leads = Ratio::of($days->closesBy($days->session), $against->closesBy($against->session))->leads();
            $words = match ($leads === [] ? null : $leads[count($leads) - 1]) {
                1 => 'at a 52-week high before price',
                -1 => 'at a 52-week low before price',
                null => 'too young',
                default => 'does not lead price',
            };
            $facts[] = new FactData("Ratio to {$benchmark->symbol}", $words, '');
        }

        return $facts;
    }

    private function event(MarketEvent $event): MarketEventData
    {
        return new MarketEventData($event->id, $event->date, $this->times->shortDate($event->date), implode(', ', array_filter([$event->time, $event->side?->label()])), $event->kind->label(), $event->title, null, $event->source, false, 0, '');
    }

    /** @return list<SessionData> */
    private function sessions(Instrument $instrument): array
    {
        $calendar = $this->calendars->of($instrument);
        $now = $this->clock->moment();
        $running = $calendar->running($now);
        $sessions = $running === null ? [] : [$running];
        for ($n = 1; count($sessions) < self::SESSIONS_SHOWN; ++$n) {
            $sessions[] = $calendar->opening($now, $n);
        }

        return array_map(fn ($session): SessionData => new SessionData(
            $this->times->shortDate($session->date),
            ($calendar->opensDayBefore ? $this->times->short($session->open) : $this->times->time($session->open)).' to '.$this->times->time($session->close),
            $this->times->utc($session->open).' to '.$this->times->utc($session->close).' UTC',
            implode(', ', array_filter([$session === $running ? 'under way' : null, $calendar->isHalfDay($session->date) ? 'half day' : null])),
        ), $sessions);
    }
}
