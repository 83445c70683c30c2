<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** A price, or a zone with two edges. */
final readonly class FlatShape implements Shape
{
    /**
     * @param int $low  in units
     * @param int $high in units, at least $low
     */
    public function __construct(private int $low, private int $high)
    {
    }

    public function band(LevelInput $input): Band
    {
        return Band::flat($this->low, $this->high, $input->last + 1);
    }

    public function next(LevelInput $input): array
    {
        return [$this->low, $this->high];
    }

    public function moves(): bool
    {
        return false;
    }
}
