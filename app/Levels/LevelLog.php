<?php

declare(strict_types=1);

namespace App\Levels;

use App\Clock\MarketClock;
use App\Models\LevelChange;
use Illuminate\Support\Facades\Auth;

/** Writes the history of levels. */
final readonly class LevelLog
{
    public const ITSELF = 'Watchpost';

    public function __construct(private MarketClock $clock)
    {
    }

    public function write(int $levelId, string $what, ?string $by = null): void
    {
        LevelChange::query()->create(['level_id' => $levelId, 'at' => $this->clock->moment(), 'by' => $by ?? Auth::user()->name ?? self::ITSELF, 'what' => $what]);
    }
}
