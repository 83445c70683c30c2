<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Setups\Leg;

/** Where one leg stands. */
final class LegState
{
    public LegStatus $status = LegStatus::Waiting;

    /** Kept out for the whole base bar by its open. */
    public bool $outOfBaseBar = false;

    /** Kept out of the finer bar being replayed by that bar's open. */
    public bool $outOfFinerBar = false;

    public function __construct(public readonly Leg $leg)
    {
    }

    public function isWaiting(): bool
    {
        return $this->status === LegStatus::Waiting;
    }

    public function mayFill(): bool
    {
        return $this->isWaiting() && ! $this->outOfBaseBar && ! $this->outOfFinerBar;
    }
}
