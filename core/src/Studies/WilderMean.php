<?php

declare(strict_types=1);

namespace Watchpost\Core\Studies;

/**
 * Wilder's smoothing, value by value: the mean of the first n, then (n-1 times the last + the new) / n.
 *
 * Source: New Concepts in Technical Trading Systems (1978); computations.md, Indicators.
 */
final class WilderMean
{
    private int $seen = 0;
    private float $sum = 0.0;
    private ?float $mean = null;

    public function __construct(private readonly int $period)
    {
    }

    public function see(float $value): void
    {
        if ($this->mean !== null) {
            $this->mean = ($this->mean * ($this->period - 1) + $value) / $this->period;
        } else {
            $this->sum += $value;
            if (++$this->seen === $this->period) {
                $this->mean = $this->sum / $this->period;
            }
        }
    }

    public function value(): ?float
    {
        return $this->mean;
    }

    /** @return array{int, float, ?float} */
    public function toState(): array
    {
        return [$this->seen, $this->sum, $this->mean];
    }

    /** @param array{int, int|float|null, int|float|null} $state */
    public function restore(array $state): void
    {
        $this->seen = $state[0];
        $this->sum = (float) $state[1];
        $this->mean = $state[2] === null ? null : (float) $state[2];
    }
}
