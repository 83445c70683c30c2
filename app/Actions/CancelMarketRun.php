<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\RunState;
use App\Models\MarketRun;

/** Stops the market at the end of the session being played. What was played stays. */
final class CancelMarketRun
{
    public function __invoke(MarketRun $run): void
    {
        MarketRun::underWay()
            ->whereKey($run->id)
            ->update(['state' => RunState::Cancelled, 'message' => 'Cancelled; what was played stays.']);
    }
}
