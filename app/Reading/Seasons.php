<?php

declare(strict_types=1);

namespace App\Reading;

use App\Clock\MarketClock;
use App\Data\SeasonData;
use App\Data\SeasonMonthData;
use App\Market\BarRepository;
use App\Models\Instrument;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Statistics\MonthRecord;
use Watchpost\Core\Statistics\Seasonality;

/** What the months brought over the years. */
final readonly class Seasons
{
    private const CYCLE = 4;
    private const EVERY_MONTH = 1_000;

    public function __construct(private BarRepository $bars, private MarketClock $clock, private ExchangeCalendar $calendar)
    {
    }

    public function of(Instrument $instrument): SeasonData
    {
        $now = $this->clock->moment();
        $today = $this->calendar->dateOf($now);
        $series = $this->bars->series($instrument, TimeFrame::Month, self::EVERY_MONTH);
        $months = [];
        foreach ($series->closes() as $i => $close) {
            $months[substr($series->session[$i], 0, 7)] = $close;
        }
        // the month under way is not finished before a session of the next one is
        if (substr($this->calendar->opening($now)->date, 0, 7) === array_key_last($months)) {
            array_pop($months);
        }
        $year = (int) substr($this->coming($today), 0, 4);
        $all = Seasonality::of($months);
        $cycle = Seasonality::of($months, $year, self::CYCLE);
        $coming = (int) substr($this->coming($today), 5, 2);

        return new SeasonData(
            $instrument->symbol,
            'years like '.$year.', every '.self::CYCLE,
            array_map(static fn (MonthRecord $record, MonthRecord $inCycle): SeasonMonthData => new SeasonMonthData(
                date('F', (int) mktime(0, 0, 0, $record->month, 1, 2000)),
                $record->month === $coming,
                $record->years,
                $record->mean,
                $record->median,
                $record->rises,
                $inCycle->years,
                $inCycle->mean,
                $inCycle->rises,
            ), $all, $cycle),
        );
    }

    /** The month that most of the coming weeks belong to, "2026-11": the next one from the middle of a month on. */
    private function coming(string $today): string
    {
        $day = new \DateTimeImmutable($today);

        return ((int) $day->format('j') > 14 ? $day->modify('first day of next month') : $day)->format('Y-m');
    }
}
