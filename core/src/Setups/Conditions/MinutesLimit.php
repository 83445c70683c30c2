<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Leg;
use Watchpost\Core\Setups\Words;

/** The fill comes so many minutes after the session's open at the earliest, or at the latest; bounds included. */
final readonly class MinutesLimit implements Condition
{
    use Known;

    public function __construct(private string $kind, private int $minutes)
    {
    }

    public static function kinds(): array
    {
        return ['not_before_minutes', 'not_after_minutes'];
    }

    public static function read(string $kind, Node $node, PriceGrid $grid): self
    {
        return new self($kind, $node->object(['kind', 'value'])['value']->int(min: 0));
    }

    public function kind(): string
    {
        return $this->kind;
    }

    public function holds(Moment $moment): bool
    {
        $since = $moment->at() - $moment->sessionOpen();

        return $this->kind === 'not_before_minutes' ? $since >= 60 * $this->minutes : $since <= 60 * $this->minutes;
    }

    public function unknowableFor(Leg $leg, bool $sessions): ?string
    {
        return $sessions && ! $leg->trigger->fillsAtClose() ? 'bars of a session do not tell the minute of a fill' : null;
    }

    public function describe(Words $words): string
    {
        return 'only '.($this->kind === 'not_before_minutes' ? 'from' : 'until')." {$this->minutes} minutes after the open".($this->kind === 'not_before_minutes' ? ' on' : '');
    }
}
