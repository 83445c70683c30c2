<?php

declare(strict_types=1);

namespace App\Planning;

use App\Levels\LevelReading;
use Watchpost\Core\Market\Series;

/** What a setup is put into: the day bars, the author's levels as they stand, and the usual range in units. */
final readonly class Structure
{
    /** @param list<LevelReading> $levels */
    public function __construct(public Series $days, public array $levels, public ?float $range)
    {
    }

    /** @return list<int> where price would come to each level first */
    public function prices(): array
    {
        $close = $this->days->lastClose() ?? 0;

        return array_map(static fn (LevelReading $reading): int => $reading->nearEdge($close), $this->levels);
    }
}
