<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Words;

/** The price of a target, as it stands. */
final readonly class ToTarget implements Destination
{
    use Fixed;

    public function __construct(public int $number)
    {
    }

    public function price(Progress $progress): int
    {
        return $progress->target($this->number);
    }

    public function toRules(PriceGrid $grid): array
    {
        return ['kind' => 'target', 'number' => $this->number];
    }

    public function describe(Words $words): string
    {
        return "goes to target {$this->number}";
    }
}
