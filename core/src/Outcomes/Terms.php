<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Update;

/** What a setup is judged on beside its own words: the instrument's grid, its bars' time frame, its sessions, costs. */
final readonly class Terms
{
    /**
     * @param TimeFrame    $base    time frame of the bars that will be fed
     * @param SplitScale   $scale   on which the run is judged; prices are turned back when they are told
     * @param OtherBars    $others  where conditions look up other symbols
     * @param list<Update> $updates by moment; none to judge a setup as it was published
     */
    public function __construct(
        public PriceGrid $grid,
        public TimeFrame $base = TimeFrame::Day,
        public SessionBook $sessions = new SessionBook(),
        public Costs $costs = new Costs(),
        public SplitScale $scale = new SplitScale(),
        public OtherBars $others = new OtherBarList(),
        public array $updates = [],
    ) {
    }
}
