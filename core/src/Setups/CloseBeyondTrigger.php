<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/** Filled when so many bars of a time frame in a row close above a level: at that close, or at the next open. */
final readonly class CloseBeyondTrigger extends Trigger
{
    public function __construct(
        public int $price,
        public CloseRule $rule,
        public bool $atNextOpen,
        public ?int $worst = null,
    ) {
    }

    public static function kind(): string
    {
        return 'close_beyond';
    }

    public static function read(Node $node, PriceGrid $grid, TimeFrame $base): self
    {
        $keys = $node->object(['kind', 'price', 'timeframe', 'fill'], ['times', 'worst']);

        return new self(
            PriceReader::setupPrice($keys['price'], $grid),
            new CloseRule(CloseRule::timeFrame($keys['timeframe'], $base), CloseRule::times($keys)),
            $keys['fill']->choice(['close', 'next_open']) === 'next_open',
            PriceReader::worst($keys, $grid),
        );
    }

    public function mirrored(): self
    {
        return new self(-$this->price, $this->rule, $this->atNextOpen, $this->worst === null ? null : -$this->worst);
    }

    public function times(int $factor): self
    {
        return new self($this->price * $factor, $this->rule, $this->atNextOpen, $this->worst === null ? null : $this->worst * $factor);
    }

    public function plannedPrice(): int
    {
        return $this->price;
    }

    public function worst(): ?int
    {
        return $this->worst;
    }

    public function timeFrame(): TimeFrame
    {
        return $this->rule->timeFrame;
    }

    public function fillsAtClose(): bool
    {
        return ! $this->atNextOpen;
    }

    public function isPassedBy(Bar $bar, TriggerMemory $memory): bool
    {
        return ! $memory->awaitsOpen;
    }

    public function atOpen(BarOpen $open, TriggerMemory $memory): OpenVerdict
    {
        if (! $memory->awaitsOpen || $open->finer) {
            return OpenVerdict::NotReached;
        }
        $memory->awaitsOpen = false;

        return OpenVerdict::Fills;
    }

    public function atClose(FrameBar $closed, TriggerMemory $memory): CloseVerdict
    {
        $memory->streak = $closed->bar->close > $this->price ? $memory->streak + 1 : 0;
        if ($memory->streak < $this->rule->times) {
            return CloseVerdict::Nothing;
        }
        if ($this->atNextOpen) {
            $memory->awaitsOpen = true;

            return CloseVerdict::Nothing;
        }

        return CloseVerdict::Fills;
    }

    public function missedBy(Bar $bar, ?FrameBar $closed, bool $armed): ?int
    {
        return $closed === null ? null : max(0, $this->price - $closed->bar->close);
    }

    public function paysSlippage(): bool
    {
        return true;
    }

    public function describe(Words $words): string
    {
        return "on {$words->closes($this->rule)} {$words->above()} {$words->price($this->price)}, at ".($this->atNextOpen ? 'the next open' : 'that close');
    }

    public function caveats(Words $words): array
    {
        return array_values(array_filter([$words->worst($this->worst)]));
    }
}
