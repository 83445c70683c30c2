<?php

declare(strict_types=1);

namespace App\Import;

use App\Clock\MarketClock;
use App\Market\BarRepository;
use App\Market\Calendars;
use App\Market\Events;
use App\Models\Instrument;
use App\Models\MarketEvent;
use App\Support\CalendarEntries;
use Sabre\VObject\Component\VCalendar;
use Watchpost\Core\Market\Instant;
use Watchpost\Core\Market\TimeFrame;

/** Writes what an import reads: the same columns, the same words. Bars stand as they were traded. */
final readonly class Exporter
{
    public function __construct(private BarRepository $bars, private Events $events, private Calendars $calendars, private MarketClock $clock)
    {
    }

    /**
     * Bars of five minutes or of days that are known by the clock.
     *
     * @return \Generator<int, list<string>> the names of the columns first
     */
    public function bars(Instrument $instrument, TimeFrame $timeFrame): \Generator
    {
        yield ['symbol', 'timeframe', 'date', 'open', 'high', 'low', 'close', 'volume'];
        $grid = $instrument->grid();
        foreach ($this->bars->from($instrument, $timeFrame, 0, true) as $bar) {
            yield [
                $instrument->symbol,
                $timeFrame->value,
                $timeFrame === TimeFrame::Day ? $bar->session : Instant::format($bar->start),
                $grid->format($bar->open),
                $grid->format($bar->high),
                $grid->format($bar->low),
                $grid->format($bar->close),
                (string) $bar->volume,
            ];
        }
    }

    /** @return \Generator<int, list<string>> the names of the columns first */
    public function instruments(): \Generator
    {
        yield [
            'symbol', 'name', 'kind', 'decimals', 'tick', 'currency', 'group', 'exchange', 'sector', 'lot', 'point_value', 'pip', 'benchmark', 'listed_on', 'tracks',
            'multiple', 'series', 'last_session', 'labels',
        ];
        foreach (Instrument::query()->orderBy('id')->get() as $one) {
            $grid = $one->grid();
            yield [
                $one->symbol, $one->name, $one->kind->value, (string) $one->decimals, $grid->format($one->tick), $one->currency, $one->group, $one->exchange, $one->sector,
                (string) $one->lot, $one->point_value, $one->pip === null ? '' : $grid->format($one->pip), (string) $one->benchmark, (string) $one->listed_on,
                (string) $one->tracks, (string) $one->multiple, (string) $one->series, (string) $one->last_session, implode('|', $one->labels),
            ];
        }
    }

    /** @return \Generator<int, list<string>> the names of the columns first */
    public function events(): \Generator
    {
        yield ['date', 'kind', 'title', 'symbol', 'side', 'time', 'source'];
        foreach ($this->known() as $event) {
            yield [$event->date, $event->kind->value, $event->title, $event->instrument->symbol ?? '', $event->side->value ?? '', (string) $event->time, $event->source];
        }
    }

    /** The events as a calendar file; days without a time of day are whole days. */
    public function calendar(): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Watchpost//Events//EN']);
        $zone = $this->calendars->home()->zone;
        foreach ($this->known() as $event) {
            $entry = CalendarEntries::add($calendar, substr($event->key, 0, 32), $this->clock->moment(), $event->title);
            $event->time === null
                ? $entry->add('DTSTART', str_replace('-', '', $event->date), ['VALUE' => 'DATE'])
                : $entry->add('DTSTART', (new \DateTimeImmutable("{$event->date} {$event->time}", $zone))->setTimezone(new \DateTimeZone('UTC')));
            $entry->add('CATEGORIES', $event->kind->label());
            $entry->add('X-WATCHPOST-KIND', $event->kind->value);
            $entry->add('X-WATCHPOST-SOURCE', $event->source);
            if ($event->instrument !== null) {
                $entry->add('X-WATCHPOST-SYMBOL', $event->instrument->symbol);
            }
            if ($event->side !== null) {
                $entry->add('X-WATCHPOST-SIDE', $event->side->value);
            }
        }

        return (string) $calendar->serialize();
    }

    /**
     * Lines as CSV.
     *
     * @param iterable<list<string>> $lines
     * @param resource               $stream
     */
    public static function write(iterable $lines, $stream): void
    {
        foreach ($lines as $fields) {
            fputcsv($stream, $fields, ',', '"', '');
        }
    }

    /** @return list<MarketEvent> */
    private function known(): array
    {
        return $this->events->between('0000-00-00', '9999-12-31');
    }
}
