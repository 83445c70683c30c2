<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;

/** Filled when price comes back to a level: at price + within, or at an open that lies at or below it. */
final readonly class TouchTrigger implements Trigger
{
    public function __construct(public int $price, public int $within = 0)
    {
    }

    public static function kind(): string
    {
        return 'touch';
    }

    public static function read(Node $node, PriceGrid $grid): self
    {
        $keys = $node->object(['kind', 'price'], ['within']);

        return new self(
            PriceReader::setupPrice($keys['price'], $grid),
            isset($keys['within']) ? PriceReader::distance($keys['within'], $grid) : 0,
        );
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

    public function atOpen(int $open): OpenVerdict
    {
        return $open <= $this->plannedPrice() ? OpenVerdict::Fills : OpenVerdict::NotReached;
    }

    public function isReachedIn(Bar $bar): bool
    {
        return $bar->low <= $this->plannedPrice();
    }

    public function approach(): Approach
    {
        return Approach::Return;
    }

    public function missedBy(Bar $bar): int
    {
        return max(0, $bar->low - $this->plannedPrice());
    }

    public function paysSlippage(): bool
    {
        return false;
    }

    public function describe(Side $side, PriceGrid $grid): string
    {
        $words = 'when price '.($side === Side::Long ? 'falls' : 'rises').' to '.$grid->format($this->price);

        return $this->within > 0 ? $words.' or within '.$grid->format($this->within).' of it' : $words;
    }

    public function caveats(Side $side, PriceGrid $grid): array
    {
        return [];
    }
}
