<?php

declare(strict_types=1);

namespace Watchpost\Core\Studies;

use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\TimeFrame;

/** The lowest low of the last n bars; undefined while there are fewer. Unit: that of the bars. */
final class LowestLow implements Study
{
    /** @var array<int, int> the last lows, the oldest at $next once there are enough */
    private array $lows = [];
    private int $next = 0;

    public function __construct(private readonly TimeFrame $timeFrame, private readonly int $bars)
    {
    }

    public function name(): string
    {
        return "lowest {$this->bars} {$this->timeFrame->value}";
    }

    public function timeFrame(): TimeFrame
    {
        return $this->timeFrame;
    }

    public function see(FrameBar $closed): void
    {
        $this->lows[$this->next] = $closed->bar->low;
        $this->next = ($this->next + 1) % $this->bars;
    }

    public function value(): ?float
    {
        return $this->lows === [] || count($this->lows) < $this->bars ? null : (float) min($this->lows);
    }

    public function toState(): array
    {
        return [[$this->next, ...$this->lows], []];
    }

    public function restore(array $state): void
    {
        $this->next = $state[0][0];
        $this->lows = array_slice($state[0], 1);
    }
}
