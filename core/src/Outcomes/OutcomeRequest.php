<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\SessionBook;
use Watchpost\Core\Market\Split;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\Setup;
use Watchpost\Core\Setups\Update;

/** All that is needed to judge one setup, or several in their groups, at once. */
final readonly class OutcomeRequest
{
    /**
     * @param non-empty-list<Setup> $setups
     * @param list<Bar>             $bars    in time order
     * @param list<Split>           $splits  in order
     * @param list<Update>          $updates by moment
     * @param bool                  $several whether the answer is a list
     */
    public function __construct(
        public PriceGrid $grid,
        public TimeFrame $base,
        public array $setups,
        public Costs $costs,
        public array $bars,
        public FinerBars $finer,
        public SessionBook $sessions,
        public int $asOf,
        public array $splits = [],
        public array $updates = [],
        public OtherBars $others = new OtherBarList(),
        public bool $several = false,
    ) {
    }

    /** @return list<Outcome> in the order of the setups */
    public function answer(OutcomeEngine $engine): array
    {
        $runs = $this->runs();
        $group = new GroupEngine($engine);
        foreach ($this->bars as $bar) {
            if ($bar->end <= $this->asOf) {
                $group->feed($runs, $bar, $this->finer);
            }
        }

        return $group->outcomes($runs, $this->asOf);
    }

    /** @return non-empty-list<SetupRun> one for each setup, before the first bar */
    public function runs(): array
    {
        return array_map($this->run(...), $this->setups);
    }

    private function run(Setup $setup): SetupRun
    {
        return new SetupRun($setup, new Terms($this->grid, $this->base, $this->sessions, $this->costs, $this->scale($setup), $this->others, $this->updates));
    }

    /** A split acts on a setup that was published before its session opened; a session without bars acts from the next. */
    private function scale(Setup $setup): SplitScale
    {
        if ($this->splits === []) {
            return new SplitScale();
        }
        $opens = [];
        foreach ($this->bars as $bar) {
            $opens[$bar->session] ??= $this->sessions->of($bar->session, $bar->start)->open;
        }

        return SplitScale::of($this->splits, function (Split $split) use ($opens, $setup): bool {
            foreach ($opens as $session => $open) {
                if ($session >= $split->session) {
                    return $open >= $setup->publishedAt;
                }
            }

            return true;
        });
    }
}
