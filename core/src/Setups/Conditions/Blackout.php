<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Words;

/** No fill from one moment on, until before another. */
final readonly class Blackout implements Condition
{
    use Known;

    public function __construct(private int $from, private int $to)
    {
    }

    public static function kinds(): array
    {
        return ['blackout'];
    }

    public static function read(string $kind, Node $node, PriceGrid $grid): self
    {
        $keys = $node->object(['kind', 'from', 'to']);
        $from = $keys['from']->time();
        $to = $keys['to']->time();
        if ($to <= $from) {
            throw $keys['to']->fail('must be after from');
        }

        return new self($from, $to);
    }

    public function kind(): string
    {
        return 'blackout';
    }

    public function holds(Moment $moment): bool
    {
        return $moment->at() < $this->from || $moment->at() >= $this->to;
    }

    public function describe(Words $words): string
    {
        return "not from {$words->moment($this->from)} until {$words->moment($this->to)}";
    }
}
