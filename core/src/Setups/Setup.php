<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigDecimal;

/**
 * One trade idea, complete and valid: what {@see SetupReader} hands out. Prices in units, times in Unix seconds.
 */
final readonly class Setup
{
    /**
     * @param non-empty-list<Leg> $legs
     * @param list<Target>        $targets in order away from the entry
     */
    public function __construct(
        public Side $side,
        public int $publishedAt,
        public int $entryUntil,
        public array $legs,
        public int $stop,
        public array $targets,
        public ?Cancel $cancel,
    ) {
    }

    /** The setup as a long: itself, or for a short the same idea on negated prices. */
    public function asLong(): self
    {
        if ($this->side === Side::Long) {
            return $this;
        }

        return new self(
            Side::Long,
            $this->publishedAt,
            $this->entryUntil,
            array_map(static fn (Leg $leg): Leg => $leg->mirrored(), $this->legs),
            -$this->stop,
            array_map(static fn (Target $target): Target => $target->mirrored(), $this->targets),
            $this->cancel?->mirrored(),
        );
    }

    /** The setup with prices times a whole number. */
    public function times(int $factor): self
    {
        return $factor === 1 ? $this : new self(
            $this->side,
            $this->publishedAt,
            $this->entryUntil,
            array_map(static fn (Leg $leg): Leg => $leg->times($factor), $this->legs),
            $this->stop * $factor,
            array_map(static fn (Target $target): Target => $target->times($factor), $this->targets),
            $this->cancel?->times($factor),
        );
    }

    /**
     * The planned price of each leg, tolerance included: for a long touch price + within, for a short price - within.
     *
     * @return non-empty-list<int> in units
     */
    public function entryPrices(): array
    {
        $sign = $this->side->sign();

        return array_map(static fn (Leg $leg): int => $sign * $leg->trigger->plannedPrice(), $this->asLong()->legs);
    }

    /**
     * The planned risk P of one unit of the full size: the sum over legs of share x |leg price - stop|, which is 1 R.
     *
     * Unit: units of the price grid. Source: rules.md, Result.
     */
    public function plannedRisk(): BigDecimal
    {
        $risk = BigDecimal::zero();
        foreach ($this->entryPrices() as $i => $price) {
            $risk = $risk->plus($this->legs[$i]->share->multipliedBy(abs($price - $this->stop)));
        }

        return $risk;
    }

    /** Whether an open at a price, in units, would fill a leg at once. */
    public function wouldFillAt(int $price): bool
    {
        foreach ($this->asLong()->legs as $leg) {
            if ($leg->trigger->atOpen($this->side->sign() * $price) === OpenVerdict::Fills) {
                return true;
            }
        }

        return false;
    }

    /** Whether the shares of the targets add up to 1, so that the last one takes all that is left. */
    public function targetsTakeAll(): bool
    {
        $sum = BigDecimal::zero();
        foreach ($this->targets as $target) {
            $sum = $sum->plus($target->share);
        }

        return $sum->isEqualTo(1);
    }
}
