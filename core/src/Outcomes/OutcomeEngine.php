<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\SessionBook;

/**
 * The one engine that says what happened to a setup. Bars are fed in time order; each is judged once, forward only,
 * by the steps of rules.md, The order of things. Feeding bars one by one equals feeding them at once.
 */
final readonly class OutcomeEngine
{
    public function __construct(
        private OpeningStep $opening = new OpeningStep(),
        private InsideStep $inside = new InsideStep(),
    ) {
    }

    /**
     * Judge the next base bar. A bar that starts before publication cannot act.
     *
     * @throws \LogicException when the bar does not come after the last one
     */
    public function feed(SetupRun $run, Bar $bar, FinerBars $finer = new FinerBarList()): void
    {
        if ($run->lastBarStart !== null && $bar->start <= $run->lastBarStart) {
            throw new \LogicException('Bars must be fed in time order, each once.');
        }
        $run->factor = $run->scale->factor($bar->session);
        $scaled = $run->scale->bar($bar);
        $long = $run->asPublished->side->sign() > 0 ? $scaled : $scaled->mirrored();
        $run->lastBarStart = $long->start;
        $run->lastClose = $long->close;
        if ($long->start < $run->setup->publishedAt || $run->isOver()) {
            return;
        }
        $run->beginBar(finer: false);
        if ($long->start >= $run->setup->entryUntil) {
            $run->expireWaiting($long->start, $long->session);
        }
        if ($run->isOver()) {
            return;
        }
        $waited = $run->isWaiting();
        $this->opening->apply($run, $long);
        if ($run->isOver()) {
            $run->trace->measure($long, $run->excursion);
        } else {
            $this->inside->apply($run, $long, $finer);
        }
        $this->keepCount($run, $long, $waited);
    }

    /**
     * The result as of a moment. Legs whose time is over by then are told as expired, also without a further bar; the
     * run itself is left as it is, since a bar that began before may still come.
     */
    public function outcome(SetupRun $run, int $asOf, SessionBook $sessions): Outcome
    {
        $run = clone $run;
        if ($asOf >= $run->setup->entryUntil) {
            $run->expireWaiting($run->setup->entryUntil, null);
        }

        return (new OutcomeWriter($run, $sessions, $asOf))->write();
    }

    private function keepCount(SetupRun $run, Bar $bar, bool $waited): void
    {
        if ($run->position->wasFilled()) {
            if ($bar->session !== $run->lastHeldSession) {
                ++$run->sessionsSeen;
                $run->lastHeldSession = $bar->session;
            }
        } elseif ($waited && $run->targetsAt($bar->high) !== []) {
            $run->targetFirst ??= $bar->session;
        }
        foreach ($run->legs as $i => $state) {
            if (! $state->isWaiting()) {
                continue;
            }
            $distance = $state->leg->trigger->missedBy($bar);
            if ($run->missedBy === null || $distance < $run->missedBy->distance) {
                $run->missedBy = new MissedBy($i, $distance, $bar->session);
            }
        }
    }
}
