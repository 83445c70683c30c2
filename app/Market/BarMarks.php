<?php

declare(strict_types=1);

namespace App\Market;

use App\Data\BarMarkData;
use App\Enums\BarMarkKind;
use App\Models\Instrument;
use Illuminate\Database\ConnectionInterface;
use Watchpost\Core\Market\BarBuilder;
use Watchpost\Core\Market\Series;
use Watchpost\Core\Market\TimeFrame;

/** What is to be marked on the bars of a chart: rolls, splits, earnings, and where bars are missing. */
final readonly class BarMarks
{
    public function __construct(private ConnectionInterface $db, private Splits $splits, private Calendars $calendars, private Events $events)
    {
    }

    /**
     * @param int $skip bars at the beginning that are not shown
     *
     * @return list<BarMarkData> in order of their bars
     */
    public function of(Instrument $instrument, Series $series, int $skip): array
    {
        if ($series->count() <= $skip) {
            return [];
        }
        $marks = [...$this->dated($instrument, $series, $skip), ...$this->missing($instrument, $series, $skip)];
        usort($marks, static fn (BarMarkData $a, BarMarkData $b): int => $a->index <=> $b->index);

        return $marks;
    }

    /** @return list<BarMarkData> */
    private function dated(Instrument $instrument, Series $series, int $skip): array
    {
        $from = $series->session[$skip];
        $to = $series->session[$series->count() - 1];
        $marks = [];
        foreach ($this->db->table('rolls')->where('instrument_id', $instrument->id)->whereBetween('session', [$from, $to])->get() as $roll) {
            /** @var object{session: string, from: string, to: string} $roll */
            $marks[] = $this->mark($series, $skip, $roll->session, BarMarkKind::Roll, "rolled from {$roll->from} to {$roll->to}");
        }
        foreach ($this->splits->of($instrument) as $split) {
            $marks[] = $this->mark($series, $skip, $split->session, BarMarkKind::Split, "split {$split->label()}; earlier prices are adjusted");
        }
        // every bar of a month or a quarter has its earnings: there they say nothing
        $tellsEarnings = $series->timeFrame === TimeFrame::Week || $series->timeFrame->isFinerThan(TimeFrame::Week);
        foreach ($tellsEarnings ? $this->events->earningsBetween($instrument, $from, $to) : [] as $event) {
            $marks[] = $this->mark($series, $skip, $event->date, BarMarkKind::Earnings, $event->title.($event->side === null ? '' : ', '.$event->side->label()));
        }

        return array_values(array_filter($marks));
    }

    private function mark(Series $series, int $skip, string $date, BarMarkKind $kind, string $label): ?BarMarkData
    {
        $period = BarBuilder::period($date, $series->timeFrame);
        foreach ($series->session as $i => $session) {
            if ($i >= $skip && BarBuilder::period($session, $series->timeFrame) === $period) {
                return new BarMarkData($i - $skip, $kind, $label);
            }
        }

        return null;
    }

    /**
     * Bars that the calendar expects and that are not there: within a session, and whole sessions on the day chart.
     *
     * @return list<BarMarkData>
     */
    private function missing(Instrument $instrument, Series $series, int $skip): array
    {
        $seconds = $series->timeFrame->seconds();
        $marks = [];
        for ($i = $skip + 1, $n = $series->count(); $i < $n; ++$i) {
            if ($seconds !== null) {
                $lost = $series->session[$i] === $series->session[$i - 1] ? intdiv($series->start[$i] - $series->start[$i - 1], $seconds) - 1 : 0;
                $what = $lost === 1 ? '1 bar is missing' : "{$lost} bars are missing";
            } elseif ($series->timeFrame === TimeFrame::Day) {
                $lost = $this->sessionsBetween($instrument, $series->session[$i - 1], $series->session[$i]);
                $what = $lost === 1 ? '1 session is missing' : "{$lost} sessions are missing";
            } else {
                break;
            }
            if ($lost > 0) {
                $marks[] = new BarMarkData($i - $skip, BarMarkKind::Missing, $what);
            }
        }

        return $marks;
    }

    /** Sessions of the calendar between two dates, both left out. */
    private function sessionsBetween(Instrument $instrument, string $from, string $to): int
    {
        // neighbours on most days: asked only when more than a weekend lies between
        $days = (int) round((strtotime($to.' UTC') - strtotime($from.' UTC')) / 86_400);

        return $days <= 1 ? 0 : max(0, count($this->calendars->of($instrument)->between($from, $to)) - 2);
    }
}
