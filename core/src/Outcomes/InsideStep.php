<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;

/**
 * Step 3 of a bar: what happens between its open and its close (rules.md, The order of things). A bar that cannot
 * tell the order is replayed on finer bars; without usable ones, the reading that flatters least is assumed.
 */
final readonly class InsideStep
{
    public function __construct(
        private OpeningStep $opening = new OpeningStep(),
        private FillCheck $check = new FillCheck(),
    ) {
    }

    public function apply(SetupRun $run, Bar $bar, FinerBars $finer): void
    {
        $reach = $this->reach($run, $bar, finer: false);
        if (! $reach->isAmbiguous()) {
            $this->happen($run, $bar, $reach, assumed: false);

            return;
        }
        $parts = $this->usable($run, $bar, $finer);
        if ($parts === []) {
            $this->happen($run, $bar, $reach, assumed: true);

            return;
        }
        foreach ($parts as $part) {
            if ($run->isOver()) {
                break;
            }
            $run->beginBar($part, finer: true);
            $this->opening->apply($run, $part, finer: true);
            if (! $run->isOver()) {
                $this->applyFiner($run, $part);
            }
        }
    }

    /** The inside of one finer bar, which is not divided any further. */
    public function applyFiner(SetupRun $run, Bar $part): void
    {
        $reach = $this->reach($run, $part, finer: true);
        $this->happen($run, $part, $reach, $reach->isAmbiguous());
    }

    /**
     * The finer bars of a base bar, if together they span its whole range; else none.
     *
     * @return list<Bar>
     */
    public function usable(SetupRun $run, Bar $bar, FinerBars $finer): array
    {
        // The source knows real prices, the run those of a long.
        $bars = array_map($run->bring(...), $finer->within($bar));
        if ($bars === []) {
            return [];
        }
        $high = max(array_map(static fn (Bar $part): int => $part->high, $bars));
        $low = min(array_map(static fn (Bar $part): int => $part->low, $bars));

        return $high === $bar->high && $low === $bar->low ? $bars : [];
    }

    private function reach(SetupRun $run, Bar $bar, bool $finer): Reach
    {
        return Reach::of($run, $bar, function (LegState $state, int $price) use ($run, $bar, $finer): bool {
            $skipped = $this->check->skips($run, $state, $price, $bar->start);
            if ($skipped !== null) {
                $this->check->skip($run, $state, $skipped, $bar, $finer);
            }

            return $skipped === null;
        });
    }

    /**
     * All that is in reach happened: legs fill, then the stop or the targets, then the cancel. Where the bar does not tell
     * that order it is assumed, and a target counts only by the close.
     */
    private function happen(SetupRun $run, Bar $bar, Reach $reach, bool $assumed): void
    {
        $this->fill($run, $bar, $reach, $assumed);
        if ($run->position->isOpen()) {
            if ($reach->stop) {
                $run->stopOut($run->stop, $bar, assumed: $assumed);
            } else {
                // After a return, too, the high may have come before the fill: only the close proves a target.
                $this->takeTargets($run, $bar, $assumed || $reach->returns ? $run->targetsAt($bar->close) : $reach->targets, $assumed);
            }
        }
        if ($reach->cancel) {
            $run->cancelWaiting('cancel', $bar, $assumed);
        }
    }

    private function fill(SetupRun $run, Bar $bar, Reach $reach, bool $assumed): void
    {
        foreach ($reach->legs as $state) {
            $run->fill($state, $state->leg->trigger->plannedPrice() ?? $bar->open, $bar, assumed: $assumed);
        }
        if ($run->trace !== null) {
            $run->trace->returned = $reach->returns;
        }
    }

    /** @param list<int> $indexes */
    private function takeTargets(SetupRun $run, Bar $bar, array $indexes, bool $assumed): void
    {
        foreach ($indexes as $index) {
            if ($run->position->isOpen()) {
                $run->takeTarget($index, $run->targets[$index]->price, $bar, assumed: $assumed);
            }
        }
    }
}
