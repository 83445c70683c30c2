<?php

declare(strict_types=1);

namespace App\Import;

/** How the lines of a CSV file are read: recognised at first, then as a person corrects it. */
final readonly class Mapping
{
    /**
     * @param string             $delimiter one character
     * @param bool               $header    whether the first line names the columns
     * @param array<string, int> $columns   number of the column, from 0, by field
     * @param string             $dates     a key of {@see DateReader::FORMATS}
     * @param string             $zone      of times that do not tell theirs
     * @param string             $timeFrame of bars, where no column tells it
     * @param string             $symbol    where no column tells it
     * @param string             $decimal   "." or ","
     */
    public function __construct(
        public string $delimiter = ',',
        public bool $header = true,
        public array $columns = [],
        public string $dates = 'Y-m-d',
        public string $zone = 'UTC',
        public string $timeFrame = '1d',
        public string $symbol = '',
        public string $decimal = '.',
    ) {
    }

    /** @param array<string, mixed> $data */
    public static function fromArray(array $data): self
    {
        /** @var array{delimiter?: string, header?: bool, columns?: array<string, int>, dates?: string, zone?: string, timeFrame?: string, symbol?: string, decimal?: string} $data */
        return new self(...$data);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }

    public function has(string $field): bool
    {
        return isset($this->columns[$field]);
    }
}
