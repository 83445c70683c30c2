<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Brick\Math\BigDecimal;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Leg;
use Watchpost\Core\Setups\Words;

/** The volume of the session so far is at least so many times what is usual by then. */
final readonly class RelativeVolume implements Condition
{
    use Known;

    public function __construct(private BigDecimal $value)
    {
    }

    public static function kinds(): array
    {
        return ['relative_volume_min'];
    }

    public static function read(string $kind, Node $node, PriceGrid $grid): self
    {
        return new self($node->object(['kind', 'value'])['value']->decimal());
    }

    public function kind(): string
    {
        return 'relative_volume_min';
    }

    public function holds(Moment $moment): bool
    {
        return $moment->relativeVolume()?->isGreaterThanOrEqualTo($this->value) ?? false;
    }

    public function needsVolume(): bool
    {
        return true;
    }

    public function unknowableFor(Leg $leg, bool $sessions): ?string
    {
        return $sessions && ! $leg->trigger->fillsAtClose() ? 'the volume of a session is known only at its close' : null;
    }

    public function describe(Words $words): string
    {
        return "only on {$words->number($this->value)} times the usual volume or more";
    }
}
