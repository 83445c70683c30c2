<?php

declare(strict_types=1);

namespace App\Import;

/**
 * Keeps rows of one kind until they are written.
 *
 * @template T of object
 */
trait KeepsRows
{
    /** @var list<T> */
    private array $kept = [];

    public function take(Line $line, int $number): void
    {
        $this->kept[] = $this->read($line, $number);
    }

    public function last(): array
    {
        $last = end($this->kept);

        return $last === false ? [] : $this->show($last);
    }

    public function write(Tally $tally): void
    {
        $this->writeAll($this->kept, $tally);
        $this->kept = [];
    }

    public function drop(): void
    {
        $this->kept = [];
    }

    /**
     * @return T
     *
     * @throws LineFault
     */
    abstract private function read(Line $line, int $number): object;

    /**
     * @param T $row
     *
     * @return array<string, string>
     */
    abstract private function show(object $row): array;

    /** @param list<T> $rows */
    abstract private function writeAll(array $rows, Tally $tally): void;
}
