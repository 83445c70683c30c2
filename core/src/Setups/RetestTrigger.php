<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/**
 * Filled as a touch, but only once a bar of a time frame has closed above the level; a close below price - within takes
 * that back until the next close above.
 */
final readonly class RetestTrigger extends Trigger
{
    public function __construct(public int $price, public TimeFrame $timeFrame, public int $within = 0)
    {
    }

    public static function kind(): string
    {
        return 'retest';
    }

    public static function read(Node $node, PriceGrid $grid, TimeFrame $base): self
    {
        $keys = $node->object(['kind', 'price', 'timeframe'], ['within']);

        return new self(
            PriceReader::setupPrice($keys['price'], $grid),
            CloseRule::timeFrame($keys['timeframe'], $base),
            PriceReader::within($keys, $grid),
        );
    }

    public function mirrored(): self
    {
        return new self(-$this->price, $this->timeFrame, $this->within);
    }

    public function times(int $factor): self
    {
        return new self($this->price * $factor, $this->timeFrame, $this->within * $factor);
    }

    public function plannedPrice(): int
    {
        return $this->price + $this->within;
    }

    public function timeFrame(): TimeFrame
    {
        return $this->timeFrame;
    }

    public function isReady(TriggerMemory $memory): bool
    {
        return $memory->armed;
    }

    public function isPassedBy(Bar $bar, TriggerMemory $memory): bool
    {
        return ! $memory->armed || ! $this->isReachedIn($bar);
    }

    public function atOpen(BarOpen $open, TriggerMemory $memory): OpenVerdict
    {
        return $memory->armed && $open->price <= $this->plannedPrice() ? OpenVerdict::Fills : OpenVerdict::NotReached;
    }

    public function isReachedIn(Bar $bar): bool
    {
        return $bar->low <= $this->plannedPrice();
    }

    public function approach(): Approach
    {
        return Approach::Return;
    }

    public function atClose(FrameBar $closed, TriggerMemory $memory): CloseVerdict
    {
        $close = $closed->bar->close;
        if (! $memory->armed && $close > $this->price) {
            $memory->armed = true;

            return CloseVerdict::Arms;
        }
        if ($memory->armed && $close < $this->price - $this->within) {
            $memory->armed = false;

            return CloseVerdict::Disarms;
        }

        return CloseVerdict::Nothing;
    }

    public function missedBy(Bar $bar, ?FrameBar $closed, bool $armed): ?int
    {
        return $armed ? max(0, $bar->low - $this->plannedPrice()) : null;
    }

    public function paysSlippage(): bool
    {
        return false;
    }

    public function describe(Words $words): string
    {
        return "when price comes back to {$words->priceWithin($this->price, $this->within)} after {$words->closes(new CloseRule($this->timeFrame))} {$words->above()} {$words->price($this->price)}";
    }
}
