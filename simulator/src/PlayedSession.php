<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Watchpost\Core\Market\Bar;

/** One session of one listing: its bars, and the state it leaves behind. */
final readonly class PlayedSession
{
    /** @param non-empty-list<Bar> $bars */
    public function __construct(public array $bars, public ListingState $state)
    {
    }

    /** The session as one bar. */
    public function day(): Bar
    {
        $first = $this->bars[0];
        $last = $this->bars[count($this->bars) - 1];

        return new Bar(
            $first->start,
            $last->end,
            $first->session,
            $first->open,
            max(array_map(static fn (Bar $bar): int => $bar->high, $this->bars)),
            min(array_map(static fn (Bar $bar): int => $bar->low, $this->bars)),
            $last->close,
            array_sum(array_map(static fn (Bar $bar): int => $bar->volume, $this->bars)),
        );
    }
}
