<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;

/** Where the finer bars of an ambiguous bar come from. */
interface FinerBars
{
    /**
     * The finer bars that start and end within the time of a bar and bear its session date, in order. They have the
     * prices of the market, whatever the bar's own are.
     *
     * @return list<Bar>
     */
    public function within(Bar $bar): array;
}
