<?php

declare(strict_types=1);

namespace App\Actions;

use App\Clock\MarketClock;
use App\Models\SetupKind;

/** Takes a kind of setup out of the list; setups of it keep its name. */
final readonly class RetireKind
{
    public function __construct(private MarketClock $clock)
    {
    }

    public function __invoke(SetupKind $kind): void
    {
        $kind->update(['retired_at' => $this->clock->moment()]);
    }
}
