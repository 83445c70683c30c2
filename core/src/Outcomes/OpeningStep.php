<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Setups\OpenVerdict;

/** Step 2 of a bar: what its open does (rules.md, The order of things). */
final class OpeningStep
{
    public function apply(SetupRun $run, Bar $bar, bool $finer = false): void
    {
        $this->exits($run, $bar);
        if ($run->isOver()) {
            return;
        }
        $this->cancel($run, $bar);
        $this->fills($run, $bar, $finer);
    }

    private function exits(SetupRun $run, Bar $bar): void
    {
        if (! $run->position->isOpen()) {
            return;
        }
        if ($bar->open <= $run->stop) {
            $run->stopOut($bar->open, $bar, gap: $bar->open < $run->stop);
        } else {
            foreach ($run->targetsAt($bar->open) as $index) {
                if ($run->position->isOpen()) {
                    $run->takeTarget($index, $bar->open, $bar, gap: $bar->open > $run->setup->targets[$index]->price);
                }
            }
        }
        if (! $run->position->isOpen()) {
            $run->trace->outAtOpen = $bar->open;
        }
    }

    private function cancel(SetupRun $run, Bar $bar): void
    {
        if ($run->setup->cancel?->isMetAt($bar->open) === true) {
            $run->cancelWaiting('cancel', $bar);
        }
    }

    private function fills(SetupRun $run, Bar $bar, bool $finer): void
    {
        $void = [];
        foreach ($run->legs as $state) {
            if (! $state->mayFill()) {
                continue;
            }
            $verdict = $state->leg->trigger->atOpen($bar->open);
            if ($verdict === OpenVerdict::KeptOut) {
                $state->outOfFinerBar = $finer;
                $state->outOfBaseBar = ! $finer;
            } elseif ($verdict === OpenVerdict::Fills) {
                $reason = $this->reasonAgainst($run, $bar->open);
                if ($reason !== null) {
                    $void[] = [$state, $reason];
                } else {
                    $run->fill($state, $bar->open, $bar, gap: $bar->open !== $state->leg->trigger->plannedPrice());
                }
            }
        }
        foreach ($void as [$state, $reason]) {
            $run->void($state, $reason, $bar->open, $bar);
        }
    }

    /** Why a fill at this price would make no sense: at or past the stop in force or the first target. */
    private function reasonAgainst(SetupRun $run, int $price): ?string
    {
        $firstTarget = $run->setup->targets[0] ?? null;

        return match (true) {
            $price <= $run->stop => 'past_stop',
            $firstTarget !== null && $price >= $firstTarget->price => 'past_target',
            default => null,
        };
    }
}
