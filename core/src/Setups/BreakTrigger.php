<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;

/**
 * Filled when price trades up to a level: at the price, or at an open at or above it. With no chase, an open above
 * the price does not fill and keeps the leg out of that bar.
 */
final readonly class BreakTrigger implements Trigger
{
    public function __construct(public int $price, public bool $noChase = false)
    {
    }

    public static function kind(): string
    {
        return 'break';
    }

    public static function read(Node $node, PriceGrid $grid): self
    {
        $keys = $node->object(['kind', 'price'], ['no_chase']);

        return new self(
            PriceReader::setupPrice($keys['price'], $grid),
            isset($keys['no_chase']) && $keys['no_chase']->bool(),
        );
    }

    public function mirrored(): self
    {
        return new self(-$this->price, $this->noChase);
    }

    public function times(int $factor): self
    {
        return new self($this->price * $factor, $this->noChase);
    }

    public function plannedPrice(): int
    {
        return $this->price;
    }

    public function atOpen(int $open): OpenVerdict
    {
        return match (true) {
            $open < $this->price => OpenVerdict::NotReached,
            $this->noChase && $open > $this->price => OpenVerdict::KeptOut,
            default => OpenVerdict::Fills,
        };
    }

    public function isReachedIn(Bar $bar): bool
    {
        return $bar->high >= $this->price;
    }

    public function approach(): Approach
    {
        return Approach::Through;
    }

    public function missedBy(Bar $bar): int
    {
        return max(0, $this->price - $bar->high);
    }

    public function paysSlippage(): bool
    {
        return true;
    }

    public function describe(Side $side, PriceGrid $grid): string
    {
        return 'on a break: price '.($side === Side::Long ? 'rises' : 'falls').' to '.$grid->format($this->price).' or '.($side === Side::Long ? 'higher' : 'lower');
    }

    public function caveats(Side $side, PriceGrid $grid): array
    {
        return $this->noChase ? ['an open '.($side === Side::Long ? 'above' : 'below').' '.$grid->format($this->price).' is not chased'] : [];
    }
}
