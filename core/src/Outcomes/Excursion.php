<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigRational;

/**
 * The best and the worst price of a trade against the average fill of its moment, in units, for a long. Extremes are
 * collected as integers and set against the average only when that changes or the result is asked for.
 */
final class Excursion
{
    private ?int $best = null;
    private ?int $worst = null;
    /** The best price of all that was seen. */
    private ?int $peak = null;
    private BigRational $gain;
    private BigRational $loss;

    public function __construct()
    {
        $this->gain = BigRational::zero();
        $this->loss = BigRational::zero();
    }

    public function see(?int $best, ?int $worst): void
    {
        if ($best !== null && ($this->best === null || $best > $this->best)) {
            $this->best = $best;
            $this->peak = max($this->peak ?? $best, $best);
        }
        if ($worst !== null && ($this->worst === null || $worst < $this->worst)) {
            $this->worst = $worst;
        }
    }

    public function peak(): ?int
    {
        return $this->peak;
    }

    /** Settle what was seen so far against the average that held while it was seen. */
    public function settle(BigRational $average): void
    {
        $this->gain = $this->gainAgainst($average);
        $this->loss = $this->lossAgainst($average);
        $this->best = $this->worst = null;
    }

    /** Best price - average fill, at least 0. */
    public function gainAgainst(BigRational $average): BigRational
    {
        return $this->best === null ? $this->gain : BigRational::max($this->gain, BigRational::of($this->best)->minus($average));
    }

    /** Worst price - average fill, at most 0. */
    public function lossAgainst(BigRational $average): BigRational
    {
        return $this->worst === null ? $this->loss : BigRational::min($this->loss, BigRational::of($this->worst)->minus($average));
    }

    /** @return array{?int, ?int, string, string, ?int} */
    public function toState(): array
    {
        return [$this->best, $this->worst, (string) $this->gain->simplified(), (string) $this->loss->simplified(), $this->peak];
    }

    /** @param array{?int, ?int, string, string, ?int} $state */
    public static function fromState(array $state): self
    {
        $excursion = new self();
        [$excursion->best, $excursion->worst] = $state;
        $excursion->gain = BigRational::of($state[2]);
        $excursion->loss = BigRational::of($state[3]);
        $excursion->peak = $state[4];

        return $excursion;
    }
}
