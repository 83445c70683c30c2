<?php

declare(strict_types=1);

namespace App\Import;

/** The fields of a line by their names. */
final readonly class Line
{
    /** @param list<string> $fields */
    public function __construct(private array $fields, private Mapping $mapping)
    {
    }

    /** The text of a field; empty when the file has no such column. */
    public function text(string $field): string
    {
        return isset($this->mapping->columns[$field]) ? $this->fields[$this->mapping->columns[$field]] ?? '' : '';
    }

    /** The line as it stands, for a report. */
    public function all(): string
    {
        return implode(' '.trim($this->mapping->delimiter).' ', $this->fields);
    }

    /** @throws LineFault when the field is empty */
    public function needed(string $field): string
    {
        $text = $this->text($field);

        return $text === '' ? throw new LineFault($field, 'is empty') : $text;
    }

    /** The date, with the time where that has a column of its own. */
    public function dateText(): string
    {
        return Recogniser::dateText($this->fields, $this->mapping->columns);
    }

    /** @throws LineFault when it is no whole number within the bounds */
    public function whole(string $field, int $least, int $most, int $default): int
    {
        $text = $this->text($field);
        if ($text === '') {
            return $default;
        }
        $value = filter_var($text, FILTER_VALIDATE_INT, ['options' => ['min_range' => $least, 'max_range' => $most]]);

        return is_int($value) ? $value : throw new LineFault($field, "“{$text}” is no whole number from {$least} to {$most}");
    }

    /** @throws LineFault when it is no date of the form 2026-10-14 */
    public function isoDate(string $field): ?string
    {
        $text = $this->text($field);

        return $text === '' ? null : (new DateReader('Y-m-d', 'UTC'))->date($text) ?? throw new LineFault($field, "“{$text}” is no date of the form 2026-10-14");
    }
}
