<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Brick\Math\BigDecimal;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Words;

/** The session's gap, in the direction of the trade, is at most or at least so many percent. */
final readonly class GapLimit implements Condition
{
    use Known;

    public function __construct(private string $kind, private BigDecimal $value)
    {
    }

    public static function kinds(): array
    {
        return ['gap_max_percent', 'gap_min_percent'];
    }

    public static function read(string $kind, Node $node, PriceGrid $grid): self
    {
        return new self($kind, $node->object(['kind', 'value'])['value']->decimal());
    }

    public function kind(): string
    {
        return $this->kind;
    }

    public function holds(Moment $moment): bool
    {
        $gap = $moment->session()?->gap();

        return $gap !== null && ($this->kind === 'gap_max_percent' ? $gap->isLessThanOrEqualTo($this->value) : $gap->isGreaterThanOrEqualTo($this->value));
    }

    public function describe(Words $words): string
    {
        return 'only if the session gaps '.($this->kind === 'gap_max_percent' ? 'at most' : 'at least')." {$words->percent($this->value)} with the trade";
    }
}
