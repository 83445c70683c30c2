<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;
use Watchpost\Core\Market\PriceGrid;

/** What trading costs: the same for every setup of a record, taken off R and percent, never written into prices. */
final readonly class Costs
{
    public BigDecimal $commissionPerUnit;

    /**
     * @param int             $slippageTicks     ticks lost on each fill or exit that takes the market as it is
     * @param BigDecimal|null $commissionPerUnit in currency, on each unit filled and each unit exited
     */
    public function __construct(public int $slippageTicks = 0, ?BigDecimal $commissionPerUnit = null)
    {
        $this->commissionPerUnit = $commissionPerUnit ?? BigDecimal::zero();
    }

    /** The costs of one unit filled or exited, in units of the grid, by the tick of the moment. */
    public function perUnit(PriceGrid $grid, bool $slips): BigDecimal
    {
        if ($this->slippageTicks === 0 && $this->commissionPerUnit->isZero()) {
            return BigDecimal::zero();
        }
        $commission = $this->commissionPerUnit->multipliedBy(10 ** $grid->decimals);

        return $slips ? $commission->plus($this->slippageTicks * $grid->tick) : $commission;
    }
}
