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
        return Bar::join($this->bars);
    }
}
