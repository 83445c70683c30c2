<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/** Filled at the open of the first bar that can act, or never. */
final readonly class MarketTrigger extends Trigger
{
    public function __construct(public ?int $worst = null)
    {
    }

    public static function kind(): string
    {
        return 'market';
    }

    public static function read(Node $node, PriceGrid $grid, TimeFrame $base): self
    {
        return new self(PriceReader::worst($node->object(['kind'], ['worst']), $grid));
    }

    public function mirrored(): self
    {
        return new self($this->worst === null ? null : -$this->worst);
    }

    public function times(int $factor): self
    {
        return new self($this->worst === null ? null : $this->worst * $factor);
    }

    public function worst(): ?int
    {
        return $this->worst;
    }

    public function atOpen(BarOpen $open, TriggerMemory $memory): OpenVerdict
    {
        if ($memory->tried || $open->finer) {
            return OpenVerdict::NotReached;
        }
        $memory->tried = true;

        return OpenVerdict::Fills;
    }

    public function paysSlippage(): bool
    {
        return true;
    }

    public function describe(Words $words): string
    {
        return 'at once: at the open of the next bar';
    }

    public function caveats(Words $words): array
    {
        return array_values(array_filter([$words->worst($this->worst)]));
    }
}
