<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/**
 * Filled at the close of a bar that is back above the level, after that bar or one of the few before it has traded
 * beyond it by at least so much.
 */
final readonly class OvershootTrigger extends Trigger
{
    public function __construct(public int $price, public int $beyond, public TimeFrame $timeFrame, public int $bars = 1)
    {
    }

    public static function kind(): string
    {
        return 'overshoot';
    }

    public static function read(Node $node, PriceGrid $grid, TimeFrame $base): self
    {
        $keys = $node->object(['kind', 'price', 'beyond', 'timeframe'], ['bars']);

        return new self(
            PriceReader::setupPrice($keys['price'], $grid),
            PriceReader::distance($keys['beyond'], $grid),
            CloseRule::timeFrame($keys['timeframe'], $base),
            isset($keys['bars']) ? $keys['bars']->int(min: 1) : 1,
        );
    }

    public function mirrored(): self
    {
        return new self(-$this->price, $this->beyond, $this->timeFrame, $this->bars);
    }

    public function times(int $factor): self
    {
        return new self($this->price * $factor, $this->beyond * $factor, $this->timeFrame, $this->bars);
    }

    public function plannedPrice(): int
    {
        return $this->price;
    }

    public function timeFrame(): TimeFrame
    {
        return $this->timeFrame;
    }

    public function fillsAtClose(): bool
    {
        return true;
    }

    public function isPassedBy(Bar $bar, TriggerMemory $memory): bool
    {
        return true;
    }

    public function watch(Bar $bar, TriggerMemory $memory): void
    {
        $memory->low = min($memory->low ?? $bar->low, $bar->low);
    }

    public function atClose(FrameBar $closed, TriggerMemory $memory): CloseVerdict
    {
        if ($memory->low !== null && $memory->low <= $this->price - $this->beyond) {
            $memory->window = $this->bars;
        }
        $memory->low = null;
        $open = $memory->window > 0;
        if ($open) {
            --$memory->window;
        }

        return $open && $closed->bar->close > $this->price ? CloseVerdict::Fills : CloseVerdict::Nothing;
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
        $bar = $words->bar($this->timeFrame);
        $back = $this->bars === 1 ? "and the same {$bar} closes back {$words->above()} it" : "and one of {$this->bars} {$bar}s closes back {$words->above()} it";

        $over = $this->beyond === 0
            ? "at {$words->price($this->price)} or {$words->lower()}"
            : "{$words->price($this->beyond)} or more {$words->below()} {$words->price($this->price)}";

        return "when price trades {$over} {$back}, at that close";
    }
}
