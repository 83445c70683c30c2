<?php

declare(strict_types=1);

namespace App\Record;

use App\Clock\MarketClock;
use App\Models\BarCorrection;
use App\Models\Edition;
use App\Models\Outcome;
use App\Models\Update;

/** Tells whether what was shown of published setups is still how they stand. */
final readonly class Freshness
{
    /** Seconds that what is shown is kept. */
    public const KEPT = 86_400;
    /** A price that is shown is not older than a bar. */
    private const BAR = 300;

    public function __construct(private MarketClock $clock)
    {
    }

    /** Another one as soon as anything of what was published moved. */
    public function stamp(): string
    {
        return implode('-', array_map(static fn (mixed $told): string => is_numeric($told) ? (string) $told : '', [
            intdiv($this->clock->moment(), self::BAR),
            Outcome::query()->count(),
            Outcome::query()->max('as_of'),
            Update::query()->max('id'),
            BarCorrection::query()->max('id'),
            Edition::query()->max('id'),
        ]));
    }
}
