<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\Split;

/**
 * One integer scale for a setup and all of its bars, whatever splits lie between them: prices as published times a
 * factor, later ones times the ratio as well. R does not change, and nothing is rounded.
 *
 * Source: rules.md, Input (splits) and fine print 11.
 */
final readonly class SplitScale
{
    /** What a unit of a price as published is worth on this scale. */
    public int $published;

    /** @param list<Split> $splits that act on the setup, in order */
    public function __construct(private array $splits = [])
    {
        $factor = BigInteger::one();
        foreach ($splits as $split) {
            $ratio = $this->ratio($split->session)->simplified();
            $factor = $factor->multipliedBy($ratio->getDenominator())->dividedBy($factor->gcd($ratio->getDenominator()));
        }
        $this->published = $factor->toInt();
    }

    /** What a unit of a session's prices is worth on this scale. */
    public function factor(string $session): int
    {
        return $this->splits === [] ? 1 : $this->ratio($session)->multipliedBy($this->published)->toBigInteger()->toInt();
    }

    public function bar(Bar $bar): Bar
    {
        $factor = $this->factor($bar->session);

        return $factor === 1 ? $bar : $bar->times($factor);
    }

    private function ratio(string $session): BigRational
    {
        return Split::between($this->splits, '', $session);
    }
}
