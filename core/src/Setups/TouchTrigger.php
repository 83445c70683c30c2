<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/** Filled when price comes back to a level: at price + within, or at an open that lies at or below it. */
final readonly class TouchTrigger extends Trigger
{
    public function __construct(public int $price, public int $within = 0)
    {
    }

    public static function kind(): string
    {
        return 'touch';
    }

    public static function read(Node $node, PriceGrid $grid, TimeFrame $base): self
    {
        $keys = $node->object(['kind', 'price'], ['within']);

        return new self(PriceReader::setupPrice($keys['price'], $grid), PriceReader::within($keys, $grid));
    }

    public function mirrored(): self
    {
        return new self(-$this->price, $this->within);
    }

    public function times(int $factor): self
    {
        return new self($this->price * $factor, $this->within * $factor);
    }

    public function plannedPrice(): int
    {
        return $this->price + $this->within;
    }

    public function isPassedBy(Bar $bar, TriggerMemory $memory): bool
    {
        return ! $this->isReachedIn($bar);
    }

    public function atOpen(BarOpen $open, TriggerMemory $memory): OpenVerdict
    {
        return $open->price <= $this->plannedPrice() ? OpenVerdict::Fills : OpenVerdict::NotReached;
    }

    public function isReachedIn(Bar $bar): bool
    {
        return $bar->low <= $this->plannedPrice();
    }

    public function approach(): Approach
    {
        return Approach::Return;
    }

    public function missedBy(Bar $bar, ?FrameBar $closed, bool $armed): int
    {
        return max(0, $bar->low - $this->plannedPrice());
    }

    public function paysSlippage(): bool
    {
        return false;
    }

    public function describe(Words $words): string
    {
        return "when price {$words->falls()} to {$words->priceWithin($this->price, $this->within)}";
    }
}
