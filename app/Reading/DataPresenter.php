<?php

declare(strict_types=1);

namespace App\Reading;

use App\Clock\MarketClock;
use App\Clock\StoredMarketClock;
use App\Clock\TimeLabel;
use App\Data\DataPageData;
use App\Data\ExchangeData;
use App\Data\ImportData;
use App\Data\InstrumentRowData;
use App\Feeds\FolderFeed;
use App\Feeds\MarketFeed;
use App\Market\Calendars;
use App\Models\Import;
use App\Models\Instrument;
use Illuminate\Database\ConnectionInterface;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\TimeFrame;

/** The page Data: where bars come from, and how whole they are. */
final readonly class DataPresenter
{
    private const IMPORTS = 20;
    private const WEEK = [1 => 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

    public function __construct(
        private MarketFeed $feed,
        private FolderFeed $folder,
        private MarketClock $clock,
        private Calendars $calendars,
        private TimeLabel $times,
        private ConnectionInterface $db,
    ) {
    }

    public function page(): DataPageData
    {
        $counts = Instrument::query()->groupBy('exchange')->selectRaw('exchange, count(*) as number')->pluck('number', 'exchange');

        return new DataPageData(
            $this->feed->name(),
            $this->clock instanceof StoredMarketClock ? 'It stands still until the market is played forward.' : 'It is the time of this machine.',
            config()->string('watchpost.feed_folder'),
            $this->folder->waiting(),
            array_values(array_map(fn (ExchangeCalendar $one): ExchangeData => $this->exchange($one, is_numeric($counts[$one->code] ?? 0) ? (int) ($counts[$one->code] ?? 0) : 0), $this->calendars->all())),
            array_values(Import::query()->latest('id')->limit(self::IMPORTS)->get()->map(static fn (Import $import): ImportData => ImportData::of($import))->all()),
        );
    }

    /** @return list<InstrumentRowData> */
    public function instruments(): array
    {
        $spans = [];
        $rows = $this->db->table('bars')->where('ends_at', '<=', $this->clock->moment())->groupBy('instrument_id', 'timeframe')
            ->selectRaw('instrument_id, timeframe, count(*) as number, min(starts_at) as first_start, max(ends_at) as last_end')->get();
        foreach ($rows as $row) {
            /** @var object{instrument_id: int, timeframe: string, number: int, first_start: int, last_end: int} $row */
            $spans[$row->instrument_id][$row->timeframe] = $row;
        }

        return array_values(Instrument::query()->orderBy('symbol')->get()->map(function (Instrument $one) use ($spans): InstrumentRowData {
            $days = $spans[$one->id][TimeFrame::Day->value] ?? null;
            $fine = $spans[$one->id][TimeFrame::FiveMinutes->value] ?? null;
            $last = max($days->last_end ?? 0, $fine->last_end ?? 0);

            return new InstrumentRowData(
                $one->symbol,
                $one->name,
                $one->kind->label(),
                $one->group,
                $this->calendars->of($one)->name,
                $days->number ?? 0,
                $fine->number ?? 0,
                $days === null ? null : $this->times->day($days->first_start),
                $last === 0 ? null : $this->times->short($last),
            );
        })->all());
    }

    private function exchange(ExchangeCalendar $one, int $instruments): ExchangeData
    {
        $now = $this->clock->moment();
        $running = $one->running($now);
        $today = $one->dateOf($now);
        $next = array_filter([...$one->holidays, ...array_map(static fn (string $close): string => "half day, until {$close}", $one->halfDays)], static fn (string $date): bool => $date >= $today && in_array((int) date('N', (int) strtotime($date)), $one->weekdays, true), ARRAY_FILTER_USE_KEY);
        ksort($next);
        $next = array_slice($next, 0, 3, true);

        return new ExchangeData(
            $one->name,
            self::WEEK[$one->weekdays[0]].' to '.self::WEEK[$one->weekdays[count($one->weekdays) - 1]].', '.$one->open.($one->opensDayBefore ? ' of the day before' : '').' to '.$one->close.', '.$one->zone->getName(),
            $one->extendedOpen === null ? 'none' : "{$one->extendedOpen} to {$one->extendedClose}",
            $running === null ? 'closed, opens '.$this->times->short($one->opening($now)->open) : 'open until '.$this->times->short($running->close),
            implode('; ', array_map(fn (string $date, string $name): string => $this->times->shortDate($date).' '.$name, array_keys($next), $next)),
            $instruments,
        );
    }
}
