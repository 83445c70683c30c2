<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;

/** The kinds of condition that can be read. */
final class Conditions
{
    /** @var list<class-string<Condition>> */
    private const CLASSES = [
        GapLimit::class,
        MinutesLimit::class,
        Blackout::class,
        RelativeVolume::class,
        ClosePlace::class,
        AverageSide::class,
        RsiLimit::class,
        IndexSide::class,
    ];

    /** @throws InvalidInput on an unknown kind or a fault inside the condition */
    public static function read(Node $node, PriceGrid $grid): Condition
    {
        $classes = [];
        foreach (self::CLASSES as $class) {
            foreach ($class::kinds() as $kind) {
                $classes[$kind] = $class;
            }
        }
        $kind = $node->key('kind')->choice(array_keys($classes));

        return $classes[$kind]::read($kind, $node, $grid);
    }
}
