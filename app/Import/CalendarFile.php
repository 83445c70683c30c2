<?php

declare(strict_types=1);

namespace App\Import;

use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Reader;
use Watchpost\Core\Market\MarketEventKind;

/**
 * Reads the events of an iCalendar file as the lines of an events file, so that both are checked by the same rules.
 * Kind, symbol and side stand in properties of our own; without them the category tells the kind, if it is a known one.
 */
final readonly class CalendarFile
{
    public const COLUMNS = ['date', 'kind', 'title', 'symbol', 'side', 'time', 'source'];

    public function __construct(private string $path, private \DateTimeZone $zone)
    {
    }

    /**
     * @return \Generator<int, list<string>> fields in the order of COLUMNS, by the number of the event, from 1
     *
     * @throws UnreadableFile
     */
    public function lines(): \Generator
    {
        try {
            $calendar = Reader::read((string) file_get_contents($this->path));
        } catch (ParseException $fault) {
            throw new UnreadableFile('This is no iCalendar file: '.$fault->getMessage());
        }
        if (! $calendar instanceof VCalendar) {
            throw new UnreadableFile('This is no iCalendar file.');
        }
        $number = 0;
        foreach ($calendar->select('VEVENT') as $event) {
            if ($event instanceof VEvent) {
                yield ++$number => $this->fields($event);
            }
        }
    }

    /** @return list<string> */
    private function fields(VEvent $event): array
    {
        $start = $event->select('DTSTART')[0] ?? null;
        $moment = $start instanceof DateTime ? \DateTimeImmutable::createFromInterface($start->getDateTime($this->zone)) : null;
        $local = $start instanceof DateTime && $start->hasTime() ? $moment?->setTimezone($this->zone) : $moment;

        return [
            $local?->format('Y-m-d') ?? '',
            self::value($event, 'X-WATCHPOST-KIND') ?: $this->kind(self::value($event, 'CATEGORIES')),
            self::value($event, 'SUMMARY'),
            self::value($event, 'X-WATCHPOST-SYMBOL'),
            self::value($event, 'X-WATCHPOST-SIDE'),
            $start instanceof DateTime && $start->hasTime() ? $local?->format('H:i') ?? '' : '',
            self::value($event, 'X-WATCHPOST-SOURCE') ?: 'calendar file',
        ];
    }

    private function kind(string $category): string
    {
        $known = MarketEventKind::tryFrom(str_replace([' ', '-'], '_', mb_strtolower($category)));

        return ($known ?? MarketEventKind::Other)->value;
    }

    private static function value(VEvent $event, string $name): string
    {
        return trim((string) ($event->select($name)[0] ?? ''));
    }
}
