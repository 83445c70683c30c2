<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** The form of a level an author marked: where it lies at each bar, and at the next one. */
interface Shape
{
    /** Where it lies at the bars of a series. */
    public function band(LevelInput $input): Band;

    /**
     * Where it is expected at the next bar: its lower and its upper edge, on the tick; null while it is undefined.
     *
     * @return array{int, int}|null
     */
    public function next(LevelInput $input): ?array;

    /** Whether it lies at another price on another bar. */
    public function moves(): bool;
}
