<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\Market\PriceGrid;

/**
 * The order in which the prices of a setup must lie: stop, then every entry, then the targets one beyond the other,
 * in the direction of the trade (rules.md, Rejected). Prices that are not set yet are left out of the comparison.
 */
final readonly class PriceOrder
{
    public function __construct(private Side $side, private PriceGrid $grid)
    {
    }

    /**
     * @param list<int> $entries the planned prices of the legs, tolerance included
     * @param list<int> $targets in the order given
     *
     * @return list<Problem> with the paths "stop.price" and "targets.N.price"
     */
    public function problems(array $entries, ?int $stop, array $targets): array
    {
        $problems = [];
        foreach ($entries as $entry) {
            if ($stop !== null && ! $this->isBeyond($entry, $stop)) {
                $problems[] = new Problem('stop.price', "The stop {$this->format($stop)} must be {$this->losing()} the entry at {$this->format($entry)}.");
                break;
            }
        }
        $before = $stop;
        foreach ($targets as $i => $target) {
            $problem = $this->targetProblem($i, $target, $entries, $before, $i === 0);
            if ($problem !== null) {
                $problems[] = $problem;
            }
            $before = $target;
        }

        return $problems;
    }

    /** @param list<int> $entries */
    private function targetProblem(int $i, int $target, array $entries, ?int $before, bool $first): ?Problem
    {
        $number = $i + 1;
        foreach ($entries as $entry) {
            if (! $this->isBeyond($target, $entry)) {
                return new Problem("targets.{$i}.price", "Target {$number} at {$this->format($target)} must be {$this->winning()} the entry at {$this->format($entry)}.");
            }
        }
        if ($before !== null && ! $this->isBeyond($target, $before)) {
            $what = $first ? 'the stop' : 'target '.($number - 1);

            return new Problem("targets.{$i}.price", "Target {$number} at {$this->format($target)} must be {$this->winning()} {$what} at {$this->format($before)}.");
        }

        return null;
    }

    private function isBeyond(int $price, int $other): bool
    {
        return ($price - $other) * $this->side->sign() > 0;
    }

    private function losing(): string
    {
        return $this->side === Side::Long ? 'below' : 'above';
    }

    private function winning(): string
    {
        return $this->side === Side::Long ? 'above' : 'below';
    }

    private function format(int $price): string
    {
        return $this->grid->format($price);
    }
}
