<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Words;

/** A price that was fixed beforehand. */
final readonly class ToPrice implements Destination
{
    use Fixed;

    public function __construct(public int $price)
    {
    }

    public function mirrored(): self
    {
        return new self(-$this->price);
    }

    public function times(int $factor): self
    {
        return new self($this->price * $factor);
    }

    public function price(Progress $progress): int
    {
        return $this->price;
    }

    public function toRules(PriceGrid $grid): array
    {
        return ['kind' => 'price', 'price' => $grid->format($this->price)];
    }

    public function describe(Words $words): string
    {
        return "goes to {$words->price($this->price)}";
    }
}
