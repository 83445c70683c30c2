<?php

declare(strict_types=1);

namespace Watchpost\Core\Rehearsal;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Setups\Draft;

/**
 * A setup made relative: its prices are told as distances from the level it stands at, in usual ranges (ATR), so that it
 * can be put at the same kind of level on another evening, and on another instrument.
 */
final readonly class Rule
{
    /** How far a level may lie from the close, in ATR, when the setup's own lies nearer. */
    private const REACH = 1.5;

    /**
     * @param Draft     $draft  complete
     * @param PriceGrid $grid   of its prices
     * @param int       $level  the price of the level it stands at, in units
     * @param float     $range  the usual range (ATR) on its evening, in units, above 0
     * @param int       $close  the last close on its evening, in units
     */
    public function __construct(public Draft $draft, public PriceGrid $grid, public LevelRule $at, public int $level, public float $range, public int $close)
    {
        if ($range <= 0.0) {
            throw new \InvalidArgumentException('The usual range must be above 0.');
        }
    }

    /** On which side of the close the level lies: -1 below, +1 above, 0 at it. */
    public function side(): int
    {
        return $this->at->kind === null ? 0 : $this->level <=> $this->close;
    }

    /** How far from the close a level is still taken, in ATR: half as far again as the setup's own, at least 1.5. */
    public function reach(): float
    {
        return max(self::REACH, 1.5 * abs($this->level - $this->close) / $this->range);
    }

    /**
     * The setup at another level: every price as many usual ranges away from it, on the tick.
     *
     * @param int   $level in units of the new grid
     * @param float $range likewise
     */
    public function put(PriceGrid $grid, int $level, float $range): Draft
    {
        return $this->draft->moved(
            $this->grid,
            $grid,
            fn (int $price): int => $grid->nearestTick($level + ($price - $this->level) / $this->range * $range),
            // a tolerance stays one
            fn (int $distance): int => $distance === 0 ? 0 : max($grid->tick, $grid->nearestTick($distance / $this->range * $range)),
        );
    }

    /** The distance of one of the setup's prices from the level, in ATR. */
    public function away(int $price): float
    {
        return ($price - $this->level) / $this->range;
    }
}
