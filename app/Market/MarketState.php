<?php

declare(strict_types=1);

namespace App\Market;

use App\Clock\MarketClock;
use App\Enums\ImportState;
use App\Models\Import;
use App\Models\Instrument;

/** What figures of the whole market depend on: as long as its key is the same, so are they. */
final readonly class MarketState
{
    public function __construct(private MarketClock $clock)
    {
    }

    public function key(): string
    {
        $latest = Import::query()->where('state', ImportState::Done)->latest('id')->first()->id ?? 0;

        return implode('.', [$this->clock->moment(), Instrument::query()->count(), $latest]);
    }
}
