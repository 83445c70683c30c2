<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\PriceGrid;

/** Reads the prices of a setup: on the tick grid and above zero. */
final class PriceReader
{
    /** @throws InvalidInput when the price is not above 0, or off the tick grid */
    public static function setupPrice(Node $node, PriceGrid $grid): int
    {
        $units = self::onGrid($node, $grid);
        if ($units <= 0) {
            throw $node->fail('must be above 0');
        }

        return $units;
    }

    /** @throws InvalidInput when the distance is below 0, or off the tick grid */
    public static function distance(Node $node, PriceGrid $grid): int
    {
        $units = self::onGrid($node, $grid);
        if ($units < 0) {
            throw $node->fail('must not be below 0');
        }

        return $units;
    }

    /**
     * The tolerance of a trigger, 0 unless it is given.
     *
     * @param array<string, Node> $keys
     */
    public static function within(array $keys, PriceGrid $grid): int
    {
        return isset($keys['within']) ? self::distance($keys['within'], $grid) : 0;
    }

    /**
     * The furthest price at which a trigger is filled, if it is given.
     *
     * @param array<string, Node> $keys
     */
    public static function worst(array $keys, PriceGrid $grid): ?int
    {
        return isset($keys['worst']) ? self::setupPrice($keys['worst'], $grid) : null;
    }

    private static function onGrid(Node $node, PriceGrid $grid): int
    {
        $units = $grid->units($node->decimal());
        if ($units === null || ! $grid->onTick($units)) {
            throw $node->fail('is not on the tick grid of '.$grid->format($grid->tick));
        }

        return $units;
    }
}
