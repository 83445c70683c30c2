<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;

/** Finer bars held in memory. */
final readonly class FinerBarList implements FinerBars
{
    /** @param list<Bar> $bars in time order */
    public function __construct(private array $bars = [])
    {
    }

    public function within(Bar $bar): array
    {
        return array_values(array_filter(
            $this->bars,
            static fn (Bar $finer): bool => $finer->start >= $bar->start && $finer->end <= $bar->end && $finer->session === $bar->session,
        ));
    }
}
