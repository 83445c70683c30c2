<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Watchpost\Core\Setups\Words;

/**
 * The best price since the first fill is at least so many times |average fill - first stop| away from the average fill.
 *
 * Source: rules.md, Stop, moves, exits.
 */
final readonly class AfterR implements After
{
    public function __construct(public BigDecimal $value)
    {
    }

    public function hasCome(Progress $progress): bool
    {
        $best = $progress->best();
        if ($best === null) {
            return false;
        }
        $average = $progress->averageFill();
        $needed = $average->minus($progress->firstStop())->abs()->multipliedBy($this->value);

        return BigRational::of($best)->minus($average)->isGreaterThanOrEqualTo($needed);
    }

    public function toRules(): array
    {
        return ['kind' => 'r', 'value' => (string) $this->value];
    }

    public function describe(Words $words): string
    {
        return "after a gain of {$words->number($this->value)} R";
    }
}
