<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Brick\Math\BigDecimal;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Leg;
use Watchpost\Core\Setups\Words;

/**
 * Where in its range the trigger's bar closes: (close - low) / (high - low), 1 on a flat bar; told for a long. Of a bar
 * that straddles the publication only what came after it makes the range.
 */
final readonly class ClosePlace implements Condition
{
    use Known;

    public function __construct(private BigDecimal $value)
    {
    }

    public static function kinds(): array
    {
        return ['close_place_min'];
    }

    public static function read(string $kind, Node $node, PriceGrid $grid): self
    {
        return new self($node->object(['kind', 'value'])['value']->decimal());
    }

    public function kind(): string
    {
        return 'close_place_min';
    }

    public function holds(Moment $moment): bool
    {
        $closed = $moment->triggerBar();
        if ($closed?->actedHigh === null || $closed->actedLow === null) {
            return false;
        }
        $range = $closed->actedHigh - $closed->actedLow;

        return $range === 0
            ? $this->value->isLessThanOrEqualTo(1)
            : $this->value->multipliedBy($range)->isLessThanOrEqualTo($closed->bar->close - $closed->actedLow);
    }

    public function unknowableFor(Leg $leg, bool $sessions): ?string
    {
        return $leg->trigger->fillsAtClose() ? null : 'a leg that is not filled at a close has no closing bar';
    }

    public function describe(Words $words): string
    {
        $part = $words->percent($this->value->multipliedBy(100));

        return "only if the bar closes {$part} or more of its range {$words->above()} its ".($words->above() === 'above' ? 'low' : 'high');
    }
}
