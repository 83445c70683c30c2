<?php

declare(strict_types=1);

namespace App\Import;

/** The lines of a CSV file, one after the other. */
final readonly class CsvFile
{
    public function __construct(private string $path)
    {
    }

    /**
     * @return \Generator<int, list<string>> fields by the number of the line, from 1; empty lines left out
     *
     * @throws UnreadableFile
     */
    public function lines(string $delimiter): \Generator
    {
        if (! is_readable($this->path) || is_dir($this->path)) {
            throw new UnreadableFile("{$this->path} cannot be read.");
        }
        $file = new \SplFileObject($this->path);
        for ($number = 1; ! $file->eof(); ++$number) {
            $fields = $file->fgetcsv($delimiter, '"', '');
            if (! is_array($fields) || $fields === [null]) {
                continue;
            }
            if ($number === 1) {
                $fields[0] = preg_replace('/^\xEF\xBB\xBF/', '', (string) $fields[0]);
            }

            yield $number => array_map(static fn (?string $field): string => trim((string) $field), array_values($fields));
        }
    }

    /**
     * @return list<list<string>> the first lines
     *
     * @throws UnreadableFile when the file is empty or not text
     */
    public function head(string $delimiter, int $count): array
    {
        $head = [];
        foreach ($this->lines($delimiter) as $fields) {
            if (! mb_check_encoding(implode('', $fields), 'UTF-8')) {
                throw new UnreadableFile('The file is not text in UTF-8. Save it as UTF-8 and try again.');
            }
            $head[] = $fields;
            if (count($head) === $count) {
                break;
            }
        }

        return $head === [] ? throw new UnreadableFile('The file is empty.') : $head;
    }

    /** About how many lines there are. */
    public function size(): int
    {
        $file = new \SplFileObject($this->path);
        $file->seek(PHP_INT_MAX);

        return $file->key() + 1;
    }
}
