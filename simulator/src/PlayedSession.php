<?php

declare(strict_types=1);

namespace Watchpost\Simulator;

use Watchpost\Core\Market\Bar;

/** One session of one listing: its bars, those of the extended hours apart, and the state it leaves behind. */
final readonly class PlayedSession
{
    /**
     * @param list<Bar> $bars     of the regular session; none when nothing was traded
     * @param list<Bar> $extended before and after it
     */
    public function __construct(public array $bars, public array $extended, public ListingState $state)
    {
    }

    /** The session as one bar, from its open to its close. */
    public function day(int $open, int $close): ?Bar
    {
        if ($this->bars === []) {
            return null;
        }
        $bar = Bar::join($this->bars);

        return new Bar($open, $close, $bar->session, $bar->open, $bar->high, $bar->low, $bar->close, $bar->volume);
    }
}
