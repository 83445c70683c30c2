<?php

declare(strict_types=1);

namespace Watchpost\Core\Studies;

use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\TimeFrame;

/**
 * Exponential moving average of closes: ema + 2 / (n+1) x (close - ema), seeded with the mean of the first n.
 *
 * Unit: that of the bars. Source: computations.md, Indicators.
 */
final class ExponentialAverage implements Study
{
    private int $seen = 0;
    private int $sum = 0;
    private ?float $ema = null;

    public function __construct(private readonly TimeFrame $timeFrame, private readonly int $period)
    {
    }

    public function name(): string
    {
        return "ema {$this->period} {$this->timeFrame->value}";
    }

    public function timeFrame(): TimeFrame
    {
        return $this->timeFrame;
    }

    public function see(FrameBar $closed): void
    {
        $close = $closed->bar->close;
        if ($this->ema !== null) {
            $this->ema += 2 / ($this->period + 1) * ($close - $this->ema);
        } else {
            $this->sum += $close;
            if (++$this->seen === $this->period) {
                $this->ema = $this->sum / $this->period;
            }
        }
    }

    public function value(): ?float
    {
        return $this->ema;
    }

    public function toState(): array
    {
        return [[$this->seen, $this->sum], [$this->ema]];
    }

    public function restore(array $state): void
    {
        [$this->seen, $this->sum] = $state[0];
        $this->ema = $state[1][0] === null ? null : (float) $state[1][0];
    }
}
