<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\InvalidInput;
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

    /**
     * @param list<list<Update>> $updates of each setup for itself, in the order of the setups; none leaves those that act on all
     *
     * @return list<Outcome> in the order of the setups
     *
     * @throws InvalidInput when an update is one that the rules refuse
     */
    public function answer(OutcomeEngine $engine, array $updates = []): array
    {
        $runs = $this->runs($updates);
        $group = new GroupEngine($engine);
        foreach ($this->bars as $bar) {
            if ($bar->end <= $this->asOf) {
                $group->feed($runs, $bar, $this->finer);
            }
        }

        return $group->outcomes($runs, $this->asOf);
    }

    /**
     * @param list<list<Update>> $updates of each setup for itself; none leaves those that act on all
     *
     * @return non-empty-list<SetupRun> one for each setup, before the first bar
     */
    public function runs(array $updates = []): array
    {
        return array_map(fn (Setup $setup, int $i): SetupRun => $this->run($setup, $updates[$i] ?? $this->updates), $this->setups, array_keys($this->setups));
    }

    /** @param list<Update> $updates */
    private function run(Setup $setup, array $updates): SetupRun
    {
        return new SetupRun($setup, new Terms($this->grid, $this->base, $this->sessions, $this->costs, $this->scale($setup), $this->others, $updates));
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
