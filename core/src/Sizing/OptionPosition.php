<?php

declare(strict_types=1);

namespace Watchpost\Core\Sizing;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Watchpost\Core\Setups\Problem;

/**
 * A position in options of one expiry, at expiry: before it nothing is told, for no price before it follows from the
 * prices of the instrument alone (edge-cases.md, T40). All of one contract of the position, in currency.
 */
final readonly class OptionPosition
{
    /**
     * @param non-empty-list<BigDecimal> $strikes    one for each leg of the shape, in its order
     * @param non-empty-list<BigDecimal> $premiums   for one unit, paid for what is bought and taken for what is sold
     * @param BigDecimal                 $multiplier units of one contract
     */
    private function __construct(public OptionShape $shape, public OptionRight $right, public array $strikes, public array $premiums, public BigDecimal $multiplier)
    {
    }

    /**
     * What is wrong with the figures of a position; none when it can be reckoned.
     *
     * @param list<BigDecimal> $strikes
     * @param list<BigDecimal> $premiums
     *
     * @return list<Problem> with the paths strikes.N, premiums.N, multiplier
     */
    public static function problems(OptionShape $shape, array $strikes, array $premiums, BigDecimal $multiplier): array
    {
        $problems = [];
        foreach ($shape->strikeNames() as $i => $name) {
            if (! isset($strikes[$i]) || $strikes[$i]->isNegativeOrZero()) {
                $problems[] = new Problem("strikes.{$i}", "The {$name} must be a price above 0.");
            }
            if (! isset($premiums[$i]) || $premiums[$i]->isNegative()) {
                $problems[] = new Problem("premiums.{$i}", "The premium of the {$name} must not be below 0.");
            }
        }
        if ($problems === [] && $shape === OptionShape::Vertical && $strikes[0]->isEqualTo($strikes[1])) {
            $problems[] = new Problem('strikes.1', 'The two strikes must differ.');
        }
        if ($problems === [] && $shape === OptionShape::Butterfly && ! ($strikes[0]->isLessThan($strikes[1]) && $strikes[1]->isLessThan($strikes[2]))) {
            $problems[] = new Problem('strikes.1', 'The strikes must rise from the lower to the upper one.');
        }
        if ($multiplier->isNegativeOrZero()) {
            $problems[] = new Problem('multiplier', 'A contract must be of more than 0 units.');
        }

        return $problems;
    }

    /**
     * @param list<BigDecimal> $strikes
     * @param list<BigDecimal> $premiums
     *
     * @throws \InvalidArgumentException when the figures do not make a position; see {@see problems()}
     */
    public static function of(OptionShape $shape, OptionRight $right, array $strikes, array $premiums, BigDecimal $multiplier): self
    {
        $problems = self::problems($shape, $strikes, $premiums, $multiplier);
        if ($problems !== [] || $strikes === [] || $premiums === []) {
            throw new \InvalidArgumentException($problems[0]->message ?? 'A position has strikes.');
        }

        return new self($shape, $right, $strikes, $premiums, $multiplier);
    }

    /** What it costs to open: premiums paid less those taken, times the multiplier; below 0 when more is taken than paid. */
    public function cost(): BigDecimal
    {
        $cost = BigDecimal::zero();
        foreach ($this->shape->quantities() as $i => $quantity) {
            $cost = $cost->plus($this->premiums[$i]->multipliedBy($quantity));
        }

        return $cost->multipliedBy($this->multiplier);
    }

    /** What it is worth at expiry: the sum of quantity x max(0, price - strike) of calls, or of puts, times the multiplier. */
    public function worthAt(BigDecimal $price): BigDecimal
    {
        $worth = BigDecimal::zero();
        foreach ($this->shape->quantities() as $i => $quantity) {
            $worth = $worth->plus($this->right->worth($price, $this->strikes[$i])->multipliedBy($quantity));
        }

        return $worth->multipliedBy($this->multiplier);
    }

    /** Gain or loss at expiry: what it is worth, less what it cost. */
    public function gainAt(BigDecimal $price): BigDecimal
    {
        return $this->worthAt($price)->minus($this->cost());
    }

    /** The most that can be lost, 0 or below. Between strikes the gain is linear, so it lies at a strike or at a price of 0. */
    public function greatestLoss(): BigDecimal
    {
        return BigDecimal::min(BigDecimal::zero(), ...array_map($this->gainAt(...), $this->corners()));
    }

    /** The most that can be gained, 0 or above; null when it grows with the price without end. */
    public function greatestGain(): ?BigDecimal
    {
        return $this->slopeAbove() > 0 ? null : BigDecimal::max(BigDecimal::zero(), ...array_map($this->gainAt(...), $this->corners()));
    }

    /**
     * The prices at expiry at which nothing is gained or lost, the lowest first. Where it is 0 along a stretch, its ends.
     *
     * @return list<BigDecimal> rounded to a hundredth of a cent, half up
     */
    public function breakEvens(): array
    {
        $corners = $this->corners();
        $found = [];
        foreach ($corners as $i => $from) {
            $gain = $this->gainAt($from);
            if ($gain->isZero()) {
                $found[] = $from->toBigRational();
                continue;
            }
            $to = $corners[$i + 1] ?? null;
            $slope = $to === null
                ? BigRational::of($this->multiplier->multipliedBy($this->slopeAbove()))
                : $this->gainAt($to)->minus($gain)->toBigRational()->dividedBy($to->minus($from));
            if ($slope->isZero()) {
                continue;
            }
            $at = $from->toBigRational()->minus($gain->toBigRational()->dividedBy($slope));
            if ($at->isGreaterThan($from) && ($to === null || $at->isLessThan($to))) {
                $found[] = $at;
            }
        }

        return array_map(static fn (BigRational $price): BigDecimal => $price->toScale(4, RoundingMode::HALF_UP)->stripTrailingZeros(), $found);
    }

    /** @return non-empty-list<BigDecimal> a price of 0 and the strikes in order: where the line bends */
    private function corners(): array
    {
        $corners = [BigDecimal::zero(), ...$this->strikes];
        usort($corners, static fn (BigDecimal $a, BigDecimal $b): int => $a->compareTo($b));

        return $corners;
    }

    /** Units gained for each unit of price above the highest strike. */
    private function slopeAbove(): int
    {
        return $this->right === OptionRight::Call ? array_sum($this->shape->quantities()) : 0;
    }
}
