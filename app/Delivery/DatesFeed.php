<?php

declare(strict_types=1);

namespace App\Delivery;

use App\Clock\MarketClock;
use App\Market\Events;
use App\Models\PublishedSetup;
use App\Publishing\EditionReader;
use App\Subscribers\Reader;
use App\Support\CalendarEntries;
use Sabre\VObject\Component\VCalendar;

/**
 * The dates that matter to a reader, as a calendar: until when each setup that still waits is good, and the events of its
 * instrument. What is withheld from the tier is not in it.
 *
 * Source: RFC 5545 (iCalendar).
 */
final readonly class DatesFeed
{
    public function __construct(private EditionReader $editions, private Events $events, private MarketClock $clock)
    {
    }

    public function of(Reader $reader): string
    {
        $calendar = new VCalendar(['PRODID' => '-//Watchpost//dates//EN', 'NAME' => 'Watchpost', 'X-WR-CALNAME' => 'Watchpost']);
        $followed = PublishedSetup::query()
            ->with(['edition', 'instrument'])
            ->whereHas('outcome', static fn ($outcome) => $outcome->where('is_over', false))
            ->orderBy('id')
            ->get()
            ->filter(static fn (PublishedSetup $setup): bool => $reader->readsAll($setup->readers, $setup->edition->published_at));
        foreach ($followed as $published) {
            $sealed = $this->editions->setup($published->edition, $published->key);
            if ($sealed->setup->entryUntil > $this->clock->moment()) {
                $summary = "{$published->instrument->symbol}: the wait ends".($sealed->name === '' ? '' : " ({$sealed->name})");
                $entry = CalendarEntries::add($calendar, "setup-{$published->edition->number}-{$published->key}", $published->edition->published_at, $summary);
                $entry->add('DTSTART', new \DateTimeImmutable("@{$sealed->setup->entryUntil}"));
                $entry->add('DESCRIPTION', $sealed->sentence);
                $entry->add('URL', url("/editions/{$published->edition->number}"));
            }
        }
        $this->earnings($calendar, $followed->unique('instrument_id'));

        return (string) $calendar->serialize();
    }

    /** @param iterable<PublishedSetup> $followed one for each instrument */
    private function earnings(VCalendar $calendar, iterable $followed): void
    {
        $today = gmdate('Y-m-d', $this->clock->moment());
        foreach ($followed as $published) {
            foreach ($this->events->earningsBetween($published->instrument, $today, '9999-12-31') as $event) {
                CalendarEntries::add($calendar, substr($event->key, 0, 32), $this->clock->moment(), $event->title)
                    ->add('DTSTART', str_replace('-', '', $event->date), ['VALUE' => 'DATE']);
            }
        }
    }
}
