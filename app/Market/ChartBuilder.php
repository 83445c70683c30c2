<?php

declare(strict_types=1);

namespace App\Market;

use App\Clock\MarketClock;
use App\Clock\TimeLabel;
use App\Data\AverageLineData;
use App\Data\ChartData;
use App\Data\PaneData;
use App\Models\Instrument;
use Watchpost\Core\Indicators\Atr;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;

/** The chart of an instrument in a time frame: its bars, its averages, and the panes below. */
final readonly class ChartBuilder
{
    /** Bars before the first one shown that the plain facts of a series need. */
    private const LEAD = 60;

    public function __construct(
        private BarRepository $bars,
        private MarketClock $clock,
        private Calendars $calendars,
        private TimeLabel $times,
        private PaneBuilder $panes,
        private BarMarks $marks,
    ) {
    }

    /** The last day bars, with some before them. */
    public function series(Instrument $instrument, int $bars): Series
    {
        return $this->bars->days($instrument, $bars + self::LEAD);
    }

    /**
     * @param int|null $publishedAt moment of publication, to tell bars known then from later ones
     * @param int|null $until       the moment with which it ends, if it is an earlier one
     */
    public function chart(Instrument $instrument, int $bars, ChartSettings $settings, TimeFrame $timeFrame = TimeFrame::Day, ?int $publishedAt = null, ?int $until = null): ChartData
    {
        $series = $this->bars->series($instrument, $timeFrame, $bars + $settings->lead(), $settings->extended, $until);
        $skip = max(0, $series->count() - $bars);
        $grid = $series->grid;
        /** @param list<int> $units */
        $floats = static fn (array $units): array => array_values(array_map($grid->toFloat(...), array_slice($units, $skip)));
        $sessionsShown = array_slice($series->session, $skip);
        $closes = $series->closes();

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
            $settings->extended ? $this->outside($instrument, $series, $skip) : [],
            array_map(static fn (AverageSetting $average): AverageLineData => new AverageLineData($average->name(), array_slice($average->of($closes), $skip)), $settings->averages),
            array_map(fn (PaneSetting $pane): PaneData => $this->panes->build($pane, $instrument, $series, $skip), $settings->panes),
            $this->marks->of($instrument, $series, $skip),
            $this->lastIsUnfinished($instrument, $series),
            $publishedAt === null ? null : $this->lastKnown($instrument, $sessionsShown, $publishedAt),
        );
    }

    /** @return list<int> the bars that lie outside their session */
    private function outside(Instrument $instrument, Series $series, int $skip): array
    {
        $indexes = [];
        $session = null;
        for ($i = $skip, $n = $series->timeFrame->seconds() === null ? 0 : $series->count(); $i < $n; ++$i) {
            if ($session?->date !== $series->session[$i]) {
                $session = $this->calendars->of($instrument)->session($series->session[$i]);
            }
            if ($session !== null && ($series->start[$i] < $session->open || $series->start[$i] >= $session->close)) {
                $indexes[] = $i - $skip;
            }
        }

        return $indexes;
    }

    /** The average true range of the last bar, in units; null with too few bars. */
    public function atr(Series $series): ?float
    {
        $values = Atr::of($series->highs(), $series->lows(), $series->closes(), config()->integer('watchpost.chart.atr_period'));
        $last = $values === [] ? null : $values[count($values) - 1];

        return $last === null ? null : $last * 10 ** $series->grid->decimals;
    }

    /** Whether the time of the last bar still runs: its own minutes, its session, or for longer ones its week, month or quarter. */
    public function lastIsUnfinished(Instrument $instrument, Series $series): bool
    {
        $last = $series->count() - 1;
        if ($last < 0) {
            return false;
        }
        $calendar = $this->calendars->of($instrument);
        $now = $this->clock->moment();
        $date = $series->session[$last];
        $seconds = $series->timeFrame->seconds();
        if ($seconds !== null) {
            return min($series->start[$last] + $seconds, $calendar->session($date)->close ?? PHP_INT_MAX) > $now;
        }
        $next = $calendar->running($now) ?? $calendar->opening($now);

        return BarBuilder::period($next->date, $series->timeFrame) === BarBuilder::period($date, $series->timeFrame);
    }

    /** @param list<string> $sessions */
    private function lastKnown(Instrument $instrument, array $sessions, int $publishedAt): ?int
    {
        $known = null;
        foreach ($sessions as $i => $date) {
            $session = $this->calendars->of($instrument)->session($date);
            if ($session !== null && $session->close <= $publishedAt) {
                $known = $i;
            }
        }

        return $known;
    }
}
