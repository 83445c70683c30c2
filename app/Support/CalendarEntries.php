<?php

declare(strict_types=1);

namespace App\Support;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;

/** Entries of a calendar file. */
final class CalendarEntries
{
    /**
     * A new entry of a calendar, with what every one must have. It is made without the library's own UID and DTSTAMP, which
     * would then stand in it twice.
     *
     * @param string $name  unique, and the same each time it is written
     * @param int    $stamp when what it says was written
     */
    public static function add(VCalendar $calendar, string $name, int $stamp, string $summary): VEvent
    {
        /** @var VEvent $entry */
        $entry = $calendar->createComponent('VEVENT', null, false);
        $calendar->add($entry);
        $entry->add('UID', "{$name}@watchpost");
        $entry->add('DTSTAMP', new \DateTimeImmutable("@{$stamp}"));
        $entry->add('SUMMARY', $summary);

        return $entry;
    }
}
