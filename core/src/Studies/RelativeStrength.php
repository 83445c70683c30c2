<?php

declare(strict_types=1);

namespace Watchpost\Core\Studies;

use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\TimeFrame;

/**
 * Relative strength index of closes: 100 - 100 / (1 + gain / loss) with Wilder's smoothing; 100 without losses, 50
 * without either.
 *
 * Unit: 0 to 100. Source: New Concepts in Technical Trading Systems (1978); computations.md, Indicators.
 */
final class RelativeStrength implements Study
{
    private ?int $before = null;
    private WilderMean $gain;
    private WilderMean $loss;

    public function __construct(private readonly TimeFrame $timeFrame, private readonly int $period)
    {
        $this->gain = new WilderMean($period);
        $this->loss = new WilderMean($period);
    }

    public function name(): string
    {
        return "rsi {$this->period} {$this->timeFrame->value}";
    }

    public function timeFrame(): TimeFrame
    {
        return $this->timeFrame;
    }

    public function see(FrameBar $closed): void
    {
        $close = $closed->bar->close;
        if ($this->before !== null) {
            $this->gain->see((float) max(0, $close - $this->before));
            $this->loss->see((float) max(0, $this->before - $close));
        }
        $this->before = $close;
    }

    public function value(): ?float
    {
        $gain = $this->gain->value();
        $loss = $this->loss->value();

        return match (true) {
            $gain === null || $loss === null => null,
            $loss > 0.0 => 100.0 - 100.0 / (1.0 + $gain / $loss),
            default => $gain > 0.0 ? 100.0 : 50.0,
        };
    }

    public function toState(): array
    {
        [$gains, $gainSum, $gain] = $this->gain->toState();
        [$losses, $lossSum, $loss] = $this->loss->toState();

        return [$this->before === null ? [$gains, $losses] : [$gains, $losses, $this->before], [$gainSum, $gain, $lossSum, $loss]];
    }

    public function restore(array $state): void
    {
        $this->before = $state[0][2] ?? null;
        $this->gain->restore([$state[0][0], $state[1][0], $state[1][1]]);
        $this->loss->restore([$state[0][1], $state[1][2], $state[1][3]]);
    }

    public function __clone()
    {
        $this->gain = clone $this->gain;
        $this->loss = clone $this->loss;
    }
}
