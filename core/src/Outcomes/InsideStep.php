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
    public function __construct(private OpeningStep $opening = new OpeningStep())
    {
    }

    public function apply(SetupRun $run, Bar $bar, FinerBars $finer): void
    {
        $reach = Reach::of($run, $bar);
        if (! $reach->isAmbiguous()) {
            $this->settle($run, $bar, $reach);
            $run->trace->measure($bar, $run->excursion);

            return;
        }
        $bars = $this->usable($run, $bar, $finer);
        if ($bars === []) {
            $this->assume($run, $bar, $reach);
            $run->trace->measure($bar, $run->excursion);

            return;
        }
        foreach ($bars as $part) {
            if ($run->isOver()) {
                break;
            }
            $run->beginBar(finer: true);
            $this->opening->apply($run, $part, finer: true);
            if (! $run->isOver()) {
                $partReach = Reach::of($run, $part);
                $partReach->isAmbiguous() ? $this->assume($run, $part, $partReach) : $this->settle($run, $part, $partReach);
            }
            $run->trace->measure($part, $run->excursion);
        }
    }

    /** All that is in reach happened, in an order that the bar itself tells. */
    private function settle(SetupRun $run, Bar $bar, Reach $reach): void
    {
        $this->fill($run, $bar, $reach, false);
        if ($run->position->isOpen()) {
            if ($reach->stop) {
                $run->stopOut($run->stop, $bar);
            } else {
                // After a return the high may have come before the fill: only the close proves a target.
                $this->takeTargets($run, $bar, $reach->returns ? $run->targetsAt($bar->close) : $reach->targets, false);
            }
        }
        if ($reach->cancel) {
            $run->cancelWaiting('cancel', $bar);
        }
    }

    /** The order is not known: legs fill, the stop comes first, a target counts only by the close. */
    private function assume(SetupRun $run, Bar $bar, Reach $reach): void
    {
        $this->fill($run, $bar, $reach, true);
        if ($run->position->isOpen()) {
            if ($reach->stop) {
                $run->stopOut($run->stop, $bar, assumed: true);
            } else {
                $this->takeTargets($run, $bar, $run->targetsAt($bar->close), true);
            }
        }
        if ($reach->cancel) {
            $run->cancelWaiting('cancel', $bar, true);
        }
    }

    private function fill(SetupRun $run, Bar $bar, Reach $reach, bool $assumed): void
    {
        foreach ($reach->legs as $state) {
            $run->fill($state, $state->leg->trigger->plannedPrice(), $bar, assumed: $assumed);
        }
        $run->trace->returned = $reach->returns;
    }

    /** @param list<int> $indexes */
    private function takeTargets(SetupRun $run, Bar $bar, array $indexes, bool $assumed): void
    {
        foreach ($indexes as $index) {
            if ($run->position->isOpen()) {
                $run->takeTarget($index, $run->setup->targets[$index]->price, $bar, assumed: $assumed);
            }
        }
    }

    /**
     * The finer bars of an ambiguous bar, if together they span its whole range; else none.
     *
     * @return list<Bar>
     */
    private function usable(SetupRun $run, Bar $bar, FinerBars $finer): array
    {
        // The source knows real prices, the run those of a long.
        $mirror = $run->asPublished->side->sign() < 0;
        $bars = array_map(static function (Bar $part) use ($run, $mirror): Bar {
            $scaled = $run->scale->bar($part);

            return $mirror ? $scaled->mirrored() : $scaled;
        }, $finer->within($bar));
        if ($bars === []) {
            return [];
        }
        $high = max(array_map(static fn (Bar $part): int => $part->high, $bars));
        $low = min(array_map(static fn (Bar $part): int => $part->low, $bars));

        return $high === $bar->high && $low === $bar->low ? $bars : [];
    }
}
