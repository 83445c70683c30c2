<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Setups\BarOpen;
use Watchpost\Core\Setups\OpenVerdict;

/** Step 2 of a bar: what its open does (rules.md, The order of things). */
final readonly class OpeningStep
{
    public function __construct(private FillCheck $check = new FillCheck())
    {
    }

    public function apply(SetupRun $run, Bar $bar, bool $finer = false): void
    {
        $this->exits($run, $bar, $finer);
        if ($run->isOver()) {
            return;
        }
        if ($run->setup->cancel?->isMetAt($bar->open) === true) {
            $run->cancelWaiting('cancel', $bar);
        }
        $this->fills($run, $bar, $finer);
    }

    private function exits(SetupRun $run, Bar $bar, bool $finer): void
    {
        if (! $run->position->isOpen()) {
            return;
        }
        if ($run->setup->stopCloses === null && $bar->open <= $run->stop) {
            $run->stopOut($bar->open, $bar, gap: $bar->open < $run->stop);
        } elseif (! $finer && $this->leavesByOpen($run, $bar)) {
            $run->leave(EventKind::OpenExit, $run->position->open, $bar->open, $bar);
        } else {
            foreach ($run->targetsAt($bar->open) as $index) {
                if ($run->position->isOpen()) {
                    $run->takeTarget($index, $bar->open, $bar, gap: $bar->open > $run->targets[$index]->price);
                }
            }
        }
        if (! $run->position->isOpen() && $run->trace !== null) {
            $run->trace->outAtOpen = $bar->open;
        }
    }

    private function leavesByOpen(SetupRun $run, Bar $bar): bool
    {
        $exit = $run->setup->openExit;
        $start = $run->track->start();

        return $exit !== null && $start !== null && $run->track->first
            && $run->sessionsSeen + ($bar->session === $run->lastHeldSession ? 0 : 1) === $exit->session
            && ! $exit->stays($start);
    }

    private function fills(SetupRun $run, Bar $bar, bool $finer): void
    {
        $open = null;
        $void = [];
        foreach ($run->legs as $state) {
            if (! $state->mayFill()) {
                continue;
            }
            $open ??= new BarOpen($bar->open, ! $finer && $run->track->first ? $run->track->start() : null, $finer);
            $trigger = $state->leg->trigger;
            $verdict = $trigger->atOpen($open, $state->memory);
            if ($verdict === OpenVerdict::KeptOut) {
                $state->keepOut($finer);
            } elseif ($verdict === OpenVerdict::Fills) {
                $skipped = $this->check->skips($run, $state, $bar->open, $bar->start);
                if ($skipped !== null) {
                    $this->check->skip($run, $state, $skipped, $bar, $finer);
                    continue;
                }
                $reason = $this->check->voids($run, $bar->open, $run->stop);
                if ($reason !== null) {
                    $void[] = [$state, $reason];
                } else {
                    $run->fill($state, $bar->open, $bar, gap: $trigger->approach() !== null && $bar->open !== $trigger->plannedPrice());
                }
            }
        }
        foreach ($void as [$state, $reason]) {
            $run->void($state, $reason, $bar->open, $bar);
        }
    }
}
