<?php

declare(strict_types=1);

namespace Watchpost\Core\Studies;

use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\TimeFrame;

/**
 * Average true range: Wilder's smoothing of the range of a bar, stretched to the close before.
 *
 * Unit: that of the bars. Source: New Concepts in Technical Trading Systems (1978); computations.md, Indicators.
 */
final class AverageTrueRange implements Study
{
    private ?int $before = null;
    private WilderMean $range;

    public function __construct(private readonly TimeFrame $timeFrame, private readonly int $period)
    {
        $this->range = new WilderMean($period);
    }

    public function name(): string
    {
        return "atr {$this->period} {$this->timeFrame->value}";
    }

    public function timeFrame(): TimeFrame
    {
        return $this->timeFrame;
    }

    public function see(FrameBar $closed): void
    {
        $bar = $closed->bar;
        if ($this->before !== null) {
            $this->range->see((float) (max($bar->high, $this->before) - min($bar->low, $this->before)));
        }
        $this->before = $bar->close;
    }

    public function value(): ?float
    {
        return $this->range->value();
    }

    public function toState(): array
    {
        [$seen, $sum, $mean] = $this->range->toState();

        return [$this->before === null ? [$seen] : [$seen, $this->before], [$sum, $mean]];
    }

    public function restore(array $state): void
    {
        $this->before = $state[0][1] ?? null;
        $this->range->restore([$state[0][0], $state[1][0], $state[1][1]]);
    }

    public function __clone()
    {
        $this->range = clone $this->range;
    }
}
