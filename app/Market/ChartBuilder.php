<?php

declare(strict_types=1);

namespace App\Market;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Data\AverageLineData;
use App\Data\ChartData;
use App\Models\Instrument;
use Watchpost\Core\Indicators\Atr;
use Watchpost\Core\Indicators\Ema;
use Watchpost\Core\Indicators\Sma;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\ExchangeCalendar;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;

/** The chart of an instrument in a time frame: its bars and its averages. */
final readonly class ChartBuilder
{
    /** Bars before the first one shown, so that the averages are defined from it on. */
    private const LEAD = 60;

    public function __construct(private BarRepository $bars, private MarketClock $clock, private ExchangeCalendar $calendar, private TimeLabel $times)
    {
    }

    /** The last bars of a time frame, with as many before them as the averages need. */
    public function series(Instrument $instrument, int $bars, TimeFrame $timeFrame = TimeFrame::Day): Series
    {
        return $this->bars->series($instrument, $timeFrame, $bars + self::LEAD);
    }

    /** @param int|null $publishedAt moment of publication, to tell bars known then from later ones */
    public function chart(Series $series, int $sessions, ?int $publishedAt = null): ChartData
    {
        $skip = max(0, $series->count() - $sessions);
        $averages = [];
        foreach ($this->averages() as ['kind' => $kind, 'period' => $period]) {
            $values = $kind === 'ema' ? Ema::of($series->closes(), $period) : Sma::of($series->closes(), $period);
            $averages[] = new AverageLineData(strtoupper($kind).' '.$period, array_slice($values, $skip));
        }
        $grid = $series->grid;
        /** @param list<int> $units */
        $floats = static fn (array $units): array => array_values(array_map($grid->toFloat(...), array_slice($units, $skip)));
        $sessionsShown = array_slice($series->session, $skip);

        return new ChartData(
            $series->timeFrame,
            $grid->decimals,
            $sessionsShown,
            $series->timeFrame->seconds() === null ? [] : array_map($this->times->time(...), array_slice($series->start, $skip)),
            $floats($series->open),
            $floats($series->high),
            $floats($series->low),
            $floats($series->close),
            array_slice($series->volume, $skip),
            $averages,
            $this->lastIsUnfinished($series),
            $publishedAt === null ? null : $this->lastKnown($sessionsShown, $publishedAt),
        );
    }

    /** The average true range of the last bar, in units; null with too few bars. */
    public function atr(Series $series): ?float
    {
        $values = Atr::of($series->highs(), $series->lows(), $series->closes(), config()->integer('watchpost.chart.atr_period'));
        $last = $values === [] ? null : $values[count($values) - 1];

        return $last === null ? null : $last * 10 ** $series->grid->decimals;
    }

    /** @return list<array{kind: string, period: int}> */
    private function averages(): array
    {
        /** @var list<array{kind: string, period: int}> */
        return config()->array('watchpost.chart.averages');
    }

    /** Whether the time of the last bar still runs: its own minutes, its session, or for longer ones its week, month or quarter. */
    private function lastIsUnfinished(Series $series): bool
    {
        $last = $series->count() - 1;
        if ($last < 0) {
            return false;
        }
        $now = $this->clock->moment();
        $date = $series->session[$last];
        $seconds = $series->timeFrame->seconds();
        if ($seconds !== null) {
            return min($series->start[$last] + $seconds, $this->calendar->session($date)->close ?? PHP_INT_MAX) > $now;
        }
        $next = $this->calendar->running($now) ?? $this->calendar->opening($now);

        return BarBuilder::period($next->date, $series->timeFrame) === BarBuilder::period($date, $series->timeFrame);
    }

    /** @param list<string> $sessions */
    private function lastKnown(array $sessions, int $publishedAt): ?int
    {
        $known = null;
        foreach ($sessions as $i => $date) {
            $session = $this->calendar->session($date);
            if ($session !== null && $session->close <= $publishedAt) {
                $known = $i;
            }
        }

        return $known;
    }
}
