<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/** The kinds of trigger that can be read. */
final class Triggers
{
    /** @var list<class-string<Trigger>> */
    private const KINDS = [
        TouchTrigger::class,
        BreakTrigger::class,
        CloseBeyondTrigger::class,
        RetestTrigger::class,
        OvershootTrigger::class,
        OpenTrigger::class,
        MarketTrigger::class,
    ];

    /** @throws InvalidInput on an unknown kind or a fault inside the trigger */
    public static function read(Node $node, PriceGrid $grid, TimeFrame $base): Trigger
    {
        $kinds = [];
        foreach (self::KINDS as $class) {
            $kinds[$class::kind()] = $class;
        }
        $kind = $node->key('kind')->choice(array_keys($kinds));

        return $kinds[$kind]::read($node, $grid, $base);
    }
}
