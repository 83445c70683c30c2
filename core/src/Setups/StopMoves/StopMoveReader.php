<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\StopMoves;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\CloseRule;
use Watchpost\Core\Setups\PriceReader;
use Watchpost\Core\Studies\AverageType;

/** Reads the moves of a stop; the words of each kind stand here and nowhere else. */
final readonly class StopMoveReader
{
    /** @param int $targets how many targets the setup has */
    public function __construct(private PriceGrid $grid, private TimeFrame $base, private int $targets)
    {
    }

    /** @throws InvalidInput on an unknown kind, a target that is not there, or a price off the tick */
    public function read(Node $node): StopMove
    {
        $keys = $node->object(['after', 'to']);

        return new StopMove($this->after($keys['after']), $this->to($keys['to']));
    }

    private function after(Node $node): After
    {
        return match ($node->key('kind')->choice(['target', 'r', 'sessions'])) {
            'target' => new AfterTarget($this->target($node->object(['kind', 'number'])['number'])),
            'r' => $this->afterR($node->object(['kind', 'value'])['value']),
            default => new AfterSessions($node->object(['kind', 'value'])['value']->int(min: 1)),
        };
    }

    private function afterR(Node $node): AfterR
    {
        $value = $node->decimal();
        if ($value->isNegative()) {
            throw $node->fail('must not be below 0');
        }

        return new AfterR($value);
    }

    private function to(Node $node): Destination
    {
        return match ($node->key('kind')->choice(['entry', 'price', 'target', 'atr', 'average', 'swing'])) {
            'entry' => $this->toEntry($node),
            'price' => new ToPrice(PriceReader::setupPrice($node->object(['kind', 'price'])['price'], $this->grid)),
            'target' => new ToTarget($this->target($node->object(['kind', 'number'])['number'])),
            'atr' => $this->atrTrail($node->object(['kind', 'timeframe', 'period', 'multiple'])),
            'average' => $this->averageTrail($node->object(['kind', 'timeframe', 'type', 'period'])),
            default => $this->swingTrail($node->object(['kind', 'timeframe', 'bars'])),
        };
    }

    private function toEntry(Node $node): ToEntry
    {
        $node->object(['kind']);

        return new ToEntry();
    }

    /** @param array<string, Node> $keys */
    private function atrTrail(array $keys): AtrTrail
    {
        $multiple = $keys['multiple']->decimal();
        if (! $multiple->isPositive()) {
            throw $keys['multiple']->fail('must be above 0');
        }

        return new AtrTrail(CloseRule::timeFrame($keys['timeframe'], $this->base), $keys['period']->int(min: 1), $multiple);
    }

    /** @param array<string, Node> $keys */
    private function averageTrail(array $keys): AverageTrail
    {
        return new AverageTrail(
            CloseRule::timeFrame($keys['timeframe'], $this->base),
            AverageType::from($keys['type']->choice(array_column(AverageType::cases(), 'value'))),
            $keys['period']->int(min: 1),
        );
    }

    /** @param array<string, Node> $keys */
    private function swingTrail(array $keys): SwingTrail
    {
        return new SwingTrail(CloseRule::timeFrame($keys['timeframe'], $this->base), $keys['bars']->int(min: 1));
    }

    private function target(Node $node): int
    {
        $number = $node->int(min: 1);
        if ($number > $this->targets) {
            throw $node->fail($this->targets === 0 ? 'there is no target' : "there is no target {$number}, only {$this->targets}");
        }

        return $number;
    }
}
