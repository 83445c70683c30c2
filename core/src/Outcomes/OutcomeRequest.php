<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\Split;
use Watchpost\Core\Setups\Setup;

/** All that is needed to judge one setup at once. */
final readonly class OutcomeRequest
{
    /**
     * @param list<Bar>   $bars   in time order
     * @param list<Split> $splits in order
     */
    public function __construct(
        public PriceGrid $grid,
        public Setup $setup,
        public Costs $costs,
        public array $bars,
        public FinerBars $finer,
        public SessionBook $sessions,
        public int $asOf,
        public array $splits = [],
    ) {
    }

    public function answer(OutcomeEngine $engine): Outcome
    {
        $run = new SetupRun($this->setup, $this->grid, $this->costs, $this->scale());
        foreach ($this->bars as $bar) {
            if ($bar->end <= $this->asOf) {
                $engine->feed($run, $bar, $this->finer);
            }
        }

        return $engine->outcome($run, $this->asOf, $this->sessions);
    }

    /** A split acts on a setup that was published before its session opened; a session without bars acts from the next. */
    private function scale(): SplitScale
    {
        $opens = [];
        foreach ($this->bars as $bar) {
            $opens[$bar->session] ??= $this->sessions->of($bar->session, $bar->start)->open;
        }

        return new SplitScale(array_values(array_filter($this->splits, function (Split $split) use ($opens): bool {
            foreach ($opens as $session => $open) {
                if ($session >= $split->session) {
                    return $open >= $this->setup->publishedAt;
                }
            }

            return false;
        })));
    }
}
