<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Words;

/** A stop that moves by itself: after something, to somewhere (rules.md, Stop, moves, exits). */
final readonly class StopMove
{
    public function __construct(public After $after, public Destination $to)
    {
    }

    public function mirrored(): self
    {
        return new self($this->after, $this->to->mirrored());
    }

    public function times(int $factor): self
    {
        return new self($this->after, $this->to->times($factor));
    }

    /** @return array{after: array<string, string|int>, to: array<string, string|int>} */
    public function toRules(PriceGrid $grid): array
    {
        return ['after' => $this->after->toRules(), 'to' => $this->to->toRules($grid)];
    }

    public function describe(Words $words): string
    {
        return "{$this->after->describe($words)} the stop {$this->to->describe($words)}";
    }
}
