<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Brick\Math\BigRational;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Studies\Study;

/** How a trade stands at the close of a base bar, for a move of its stop; told for a long. */
interface Progress
{
    /** Whether a target, counted from 1, has been reached. */
    public function reached(int $number): bool;

    /** The best price since the first fill, as it counts for the best excursion. */
    public function best(): ?int;

    public function averageFill(): BigRational;

    public function firstStop(): int;

    /** Sessions held whose close has come. */
    public function sessionsOver(): int;

    /** The price of a target, counted from 1. */
    public function target(int $number): int;

    /** The value of a study the move has asked for. */
    public function study(Study $like): ?float;

    /** The highest close of bars of a time frame since the first fill. */
    public function highestClose(TimeFrame $timeFrame): ?int;

    /** A computed price, in units, brought to the tick away from price: for a long the tick at or below. */
    public function toTick(float|BigRational $units): int;
}
