<?php

declare(strict_types=1);

namespace App\Market;

use App\Clock\MarketClock;
use App\Models\Instrument;
use App\Models\MarketEvent;
use Illuminate\Database\Eloquent\Builder;
use Watchpost\Core\Market\MarketEventKind;

/** Reads events: only those that are known by the clock. */
final readonly class Events
{
    public function __construct(private MarketClock $clock)
    {
    }

    /** @return list<MarketEvent> by date */
    public function earningsBetween(Instrument $instrument, string $from, string $to): array
    {
        return array_values($this->known()->where('instrument_id', $instrument->id)->where('kind', MarketEventKind::Earnings)->whereBetween('date', [$from, $to])->get()->all());
    }

    /** The next date on which a company reports, today included; null when none is known. */
    public function nextEarnings(Instrument $instrument, string $today): ?MarketEvent
    {
        return $this->known()->where('instrument_id', $instrument->id)->where('kind', MarketEventKind::Earnings)->where('date', '>=', $today)->first();
    }

    /** @return list<MarketEvent> of an instrument, the next ones and the latest past ones, by date */
    public function around(Instrument $instrument, string $today, int $past, int $next): array
    {
        $of = fn (): Builder => $this->known()->where('instrument_id', $instrument->id);

        return [
            ...array_reverse(array_values($of()->where('date', '<', $today)->reorder('date', 'desc')->limit($past)->get()->all())),
            ...array_values($of()->where('date', '>=', $today)->limit($next)->get()->all()),
        ];
    }

    /** @return list<MarketEvent> of the whole market and of all instruments, by date */
    public function between(string $from, string $to): array
    {
        return array_values($this->known()->with('instrument')->whereBetween('date', [$from, $to])->orderBy('time')->get()->all());
    }

    /** @return Builder<MarketEvent> */
    private function known(): Builder
    {
        return MarketEvent::query()->where('announced_at', '<=', $this->clock->moment())->orderBy('date');
    }
}
