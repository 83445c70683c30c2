<?php

declare(strict_types=1);

namespace App\Import;

use App\Enums\ImportKind;

/** Recognises how a CSV file is written. What it finds is shown, and can be changed before anything is read. */
final class Recogniser
{
    private const DELIMITERS = [',', ';', "\t", '|'];
    private const LINES = 200;

    /** @throws UnreadableFile */
    public function recognise(CsvFile $file, ImportKind $kind, string $zone): Mapping
    {
        $delimiter = $this->delimiter($file);
        $head = $file->head($delimiter, self::LINES);
        $columns = $this->columns($head[0], $kind);
        $header = $columns !== [];
        $lines = $header ? array_slice($head, 1) : $head;
        if (! $header && $kind === ImportKind::Bars) {
            $columns = array_flip(array_slice(['date', 'open', 'high', 'low', 'close', 'volume'], 0, count($head[0])));
        }
        $dates = $this->dates(self::dateTexts($lines, $columns));
        $timed = str_contains($dates, 'H') || $dates === 'U';

        return new Mapping($delimiter, $header, $columns, $dates, $zone, $timed ? '5m' : '1d', '', $this->decimal($lines));
    }

    /**
     * Texts of the dates as they are read: with the time, where that stands in a column of its own.
     *
     * @param list<list<string>>   $lines
     * @param array<string, int>   $columns
     *
     * @return list<string>
     */
    public static function dateTexts(array $lines, array $columns): array
    {
        return array_map(static fn (array $fields): string => self::dateText($fields, $columns), $lines);
    }

    /**
     * @param list<string>       $fields
     * @param array<string, int> $columns
     */
    public static function dateText(array $fields, array $columns): string
    {
        return ($fields[$columns['date'] ?? 0] ?? '').(isset($columns['time'], $columns['open']) ? ' '.($fields[$columns['time']] ?? '') : '');
    }

    /** The one by which all lines have the same number of fields, and the most of them. */
    private function delimiter(CsvFile $file): string
    {
        $best = ',';
        $most = 1;
        foreach (self::DELIMITERS as $delimiter) {
            $counts = array_map(count(...), $file->head($delimiter, 20));
            if (count(array_unique($counts)) === 1 && $counts[0] > $most) {
                [$best, $most] = [$delimiter, $counts[0]];
            }
        }

        return $best;
    }

    /**
     * @param list<string> $names
     *
     * @return array<string, int>
     */
    private function columns(array $names, ImportKind $kind): array
    {
        $columns = [];
        $plain = array_map(static fn (string $name): string => (string) preg_replace('/[^a-z]/', '', mb_strtolower($name)), $names);
        foreach (Fields::of($kind) as $field => $known) {
            foreach ($plain as $i => $name) {
                if (in_array($name, $known, true) && ! in_array($i, $columns, true)) {
                    $columns[$field] = $i;
                    break;
                }
            }
        }

        return $columns;
    }

    /** @param list<string> $texts */
    private function dates(array $texts): string
    {
        foreach (array_keys(DateReader::FORMATS) as $format) {
            $reader = new DateReader($format, 'UTC');
            $fits = array_filter($texts, static fn (string $text): bool => $reader->moment($text) !== null);
            if ($texts !== [] && count($fits) > 0.8 * count($texts)) {
                return $format;
            }
        }

        return 'Y-m-d';
    }

    /**
     * A comma, where most lines hold a number written with one and none written with a point.
     *
     * @param list<list<string>> $lines
     */
    private function decimal(array $lines): string
    {
        $with = static fn (string $sign): int => count(array_filter($lines, static fn (array $fields): bool => preg_grep('/^\d+'.preg_quote($sign, '/').'\d+$/D', $fields) !== []));

        return $with(',') > count($lines) / 2 && $with('.') === 0 ? ',' : '.';
    }
}
