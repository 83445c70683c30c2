<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigRational;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Split;

/**
 * One integer scale for a setup and all of its bars, whatever splits lie between them: prices as published times a
 * factor, those of other sessions times the ratio between them as well. R does not change, and nothing is rounded.
 *
 * Source: rules.md, Input (splits) and fine print 11.
 */
final readonly class SplitScale
{
    /** What a unit of a price as published is worth on this scale. */
    public int $published;
    /** No split: all prices stand on the scale as they are. */
    public bool $isPlain;
    /** What a unit of the very first prices is worth, over that of prices as published. */
    private BigRational $first;

    /**
     * @param list<Split> $acting  splits that act on the setup, in order
     * @param list<Split> $earlier those before its publication, which only what looks back can see
     */
    public function __construct(private array $acting = [], private array $earlier = [])
    {
        $this->isPlain = $acting === [] && $earlier === [];
        if ($this->isPlain) {
            $this->published = 1;
            $this->first = BigRational::one();

            return;
        }
        $this->first = BigRational::one()->dividedBy(Split::between($earlier, '', '9999'));
        $factor = $this->first->simplified()->getDenominator();
        foreach ([...$earlier, ...$acting] as $split) {
            $denominator = $this->ratio($split->session)->getDenominator();
            $factor = $factor->multipliedBy($denominator)->dividedBy($factor->gcd($denominator));
        }
        $this->published = $factor->toInt();
    }

    /**
     * @param list<Split>           $splits in order
     * @param callable(Split): bool $acts   whether a split acts on the setup
     */
    public static function of(array $splits, callable $acts): self
    {
        return new self(
            array_values(array_filter($splits, $acts)),
            array_values(array_filter($splits, static fn (Split $split): bool => ! $acts($split))),
        );
    }

    /** What a unit of a session's prices is worth on this scale. */
    public function factor(string $session): int
    {
        return $this->isPlain ? 1 : $this->ratio($session)->multipliedBy($this->published)->toBigInteger()->toInt();
    }

    public function bar(Bar $bar): Bar
    {
        return $this->isPlain ? $bar : $bar->times($this->factor($bar->session));
    }

    /** Units of prices as published for one of a session's. */
    private function ratio(string $session): BigRational
    {
        return $this->first->multipliedBy(Split::between([...$this->earlier, ...$this->acting], '', $session))->simplified();
    }
}
