<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/**
 * Filled when price trades up to a level: at the price, or at an open at or above it. With no chase, an open above
 * the price does not fill and keeps the leg out of that bar.
 */
final readonly class BreakTrigger extends Trigger
{
    public function __construct(public int $price, public bool $noChase = false, public ?int $worst = null)
    {
    }

    public static function kind(): string
    {
        return 'break';
    }

    public static function read(Node $node, PriceGrid $grid, TimeFrame $base): self
    {
        $keys = $node->object(['kind', 'price'], ['no_chase', 'worst']);

        return new self(
            PriceReader::setupPrice($keys['price'], $grid),
            isset($keys['no_chase']) && $keys['no_chase']->bool(),
            PriceReader::worst($keys, $grid),
        );
    }

    public function mirrored(): self
    {
        return new self(-$this->price, $this->noChase, $this->worst === null ? null : -$this->worst);
    }

    public function times(int $factor): self
    {
        return new self($this->price * $factor, $this->noChase, $this->worst === null ? null : $this->worst * $factor);
    }

    public function plannedPrice(): int
    {
        return $this->price;
    }

    public function worst(): ?int
    {
        return $this->worst;
    }

    public function isPassedBy(Bar $bar, TriggerMemory $memory): bool
    {
        return ! $this->isReachedIn($bar);
    }

    public function atOpen(BarOpen $open, TriggerMemory $memory): OpenVerdict
    {
        return match (true) {
            $open->price < $this->price => OpenVerdict::NotReached,
            $this->noChase && $open->price > $this->price => OpenVerdict::KeptOut,
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

    public function missedBy(Bar $bar, ?FrameBar $closed, bool $armed): int
    {
        return max(0, $this->price - $bar->high);
    }

    public function paysSlippage(): bool
    {
        return true;
    }

    public function describe(Words $words): string
    {
        return "on a break: price {$words->rises()} to {$words->price($this->price)} or {$words->higher()}";
    }

    public function caveats(Words $words): array
    {
        return array_values(array_filter([
            $this->noChase ? "an open {$words->above()} {$words->price($this->price)} is not chased" : null,
            $words->worst($this->worst),
        ]));
    }
}
