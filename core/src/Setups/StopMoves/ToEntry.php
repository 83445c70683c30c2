<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Words;

/**
 * The average fill of what is filled, on the tick toward the losing side. It goes on like a trail: a later fill raises
 * it to the new average.
 */
final readonly class ToEntry implements Destination
{
    use Fixed;

    public function trails(): bool
    {
        return true;
    }

    public function price(Progress $progress): int
    {
        return $progress->toTick($progress->averageFill());
    }

    public function toRules(PriceGrid $grid): array
    {
        return ['kind' => 'entry'];
    }

    public function describe(Words $words): string
    {
        return 'goes to the entry';
    }
}
