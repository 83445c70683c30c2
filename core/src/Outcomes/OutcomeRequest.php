<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Setups\Setup;

/** All that is needed to judge one setup at once. */
final readonly class OutcomeRequest
{
    /** @param list<Bar> $bars in time order */
    public function __construct(
        public PriceGrid $grid,
        public Setup $setup,
        public Costs $costs,
        public array $bars,
        public FinerBars $finer,
        public SessionBook $sessions,
        public int $asOf,
    ) {
    }

    public function answer(OutcomeEngine $engine): Outcome
    {
        $run = new SetupRun($this->setup, $this->grid, $this->costs);
        foreach ($this->bars as $bar) {
            if ($bar->end <= $this->asOf) {
                $engine->feed($run, $bar, $this->finer);
            }
        }

        return $engine->outcome($run, $this->asOf, $this->sessions);
    }
}
