<?php

declare(strict_types=1);

namespace Watchpost\Core\Studies;

use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\TimeFrame;

/**
 * Simple moving average of closes: the mean of the last n, from a whole-number sum that slides along.
 *
 * Unit: that of the bars. Source: computations.md, Indicators.
 */
final class SimpleAverage implements Study
{
    /** @var array<int, int> the last closes, the oldest at $next once there are enough */
    private array $closes = [];
    private int $next = 0;
    private int $sum = 0;

    public function __construct(private readonly TimeFrame $timeFrame, private readonly int $period)
    {
    }

    public function name(): string
    {
        return "sma {$this->period} {$this->timeFrame->value}";
    }

    public function timeFrame(): TimeFrame
    {
        return $this->timeFrame;
    }

    public function see(FrameBar $closed): void
    {
        $close = $closed->bar->close;
        $this->sum += $close - ($this->closes[$this->next] ?? 0);
        $this->closes[$this->next] = $close;
        $this->next = ($this->next + 1) % $this->period;
    }

    public function value(): ?float
    {
        return count($this->closes) < $this->period ? null : $this->sum / $this->period;
    }

    public function toState(): array
    {
        return [[$this->next, $this->sum, ...$this->closes], []];
    }

    public function restore(array $state): void
    {
        [$this->next, $this->sum] = $state[0];
        $this->closes = array_slice($state[0], 2);
    }
}
