<?php

declare(strict_types=1);

namespace App\Import;

use App\Enums\ImportKind;

/** A file to be imported, and how it is read. */
final readonly class Source
{
    public function __construct(public string $path, public ImportKind $kind, public Mapping $mapping, public bool $calendar = false)
    {
    }

    /**
     * @return \Generator<int, Line> by the number of the line
     *
     * @throws UnreadableFile
     */
    public function lines(): \Generator
    {
        $lines = $this->calendar
            ? (new CalendarFile($this->path, new \DateTimeZone($this->mapping->zone)))->lines()
            : (new CsvFile($this->path))->lines($this->mapping->delimiter);
        $skip = ! $this->calendar && $this->mapping->header;
        foreach ($lines as $number => $fields) {
            if ($skip) {
                $skip = false;
                continue;
            }
            yield $number => new Line($fields, $this->mapping);
        }
    }

    public static function isCalendar(string $fileName): bool
    {
        return str_ends_with(mb_strtolower($fileName), '.ics');
    }
}
