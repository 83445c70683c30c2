<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** The last n values of a stream, kept in order of size. */
final class SortedWindow
{
    /** @var list<float> in order of arrival */
    private array $arrived = [];

    /** @var list<float> in ascending order */
    private array $sorted = [];

    public function __construct(private readonly int $size)
    {
        Period::check($size);
    }

    public function push(float $value): void
    {
        $this->arrived[] = $value;
        array_splice($this->sorted, $this->place($value), 0, [$value]);
        $gone = count($this->arrived) - $this->size - 1;
        if ($gone >= 0) {
            array_splice($this->sorted, $this->place($this->arrived[$gone]), 1);
        }
    }

    public function isFull(): bool
    {
        return count($this->sorted) === $this->size;
    }

    /** @see Quantile::of() */
    public function quantile(float $q): float
    {
        return Quantile::of($this->sorted, $q);
    }

    /** The place of the first value that is not below a value. */
    private function place(float $value): int
    {
        $from = 0;
        $to = count($this->sorted);
        while ($from < $to) {
            $middle = ($from + $to) >> 1;
            if ($this->sorted[$middle] < $value) {
                $from = $middle + 1;
            } else {
                $to = $middle;
            }
        }

        return $from;
    }
}
