<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Setups\Update;

/**
 * The one engine that says what happened to a setup. Bars are fed in time order; each is judged once, forward only,
 * by the steps of rules.md, The order of things. Feeding bars one by one equals feeding them at once.
 */
final readonly class OutcomeEngine
{
    public function __construct(
        private OpeningStep $opening = new OpeningStep(),
        private InsideStep $inside = new InsideStep(),
        private ClosingStep $closing = new ClosingStep(),
        private UpdateStep $updates = new UpdateStep(),
    ) {
    }

    /**
     * Judge the next base bar. A bar that starts before publication cannot act, and serves for what looks back.
     *
     * @throws \LogicException when the bar does not come after the last one
     * @throws InvalidInput    when an update that acts from this bar is one that the rules refuse
     */
    public function feed(SetupRun $run, Bar $bar, FinerBars $finer = new FinerBarList()): void
    {
        $long = $this->begin($run, $bar);
        if ($long === null) {
            return;
        }
        $waited = $run->isWaiting();
        if (! $run->isPassedBy($long)) {
            $this->open($run, $long);
            $this->inside($run, $long, $finer);
        }
        $this->close($run, $long, $waited);
    }

    /**
     * Whether an update that is made now could act on a setup as it stands; the run itself is left as it is.
     *
     * @throws InvalidInput when the setup is over, when there is nothing that the update could change, or when the rules refuse it
     */
    public function try(SetupRun $run, Update $update): void
    {
        $this->updates->try(clone $run, $update);
    }

    /**
     * All that comes before the open of a bar: what is known to be over only now, expiry, updates.
     *
     * @return Bar|null the bar as the run sees it; null when nothing of it can act, and it has been taken in
     */
    public function begin(SetupRun $run, Bar $bar): ?Bar
    {
        if ($run->lastBar !== null && $bar->start <= $run->lastBar->start) {
            throw new \LogicException('Bars must be fed in time order, each once.');
        }
        $scale = $run->terms->scale;
        if ($run->isOver()) {
            $run->factor = $scale->factor($bar->session);
            $run->lastBar = $run->bring($bar);

            return null;
        }
        $long = $run->bring($bar);
        $run->firstBarAt ??= $bar->start;
        if ($run->lastBar !== null) {
            $this->closing->lateBefore($run, $run->lastBar, $long);
        }
        $run->factor = $scale->factor($bar->session);
        $run->track->enter($long, $run->terms->sessions, $run->sign);
        $run->volume?->begin($bar->session, $run->factor);
        $run->lastBar = $long;
        if (! $run->acts($long)) {
            $this->closing->apply($run, $long, false);

            return null;
        }
        if ($run->isOver()) {
            return null;
        }
        $run->beginBar($long, finer: false);
        if ($long->start >= $run->setup->entryUntil || ($run->setup->lastSession !== null && $long->session > $run->setup->lastSession)) {
            $run->expireWaiting($long->start, $long->session);
        }
        if ($run->terms->updates !== []) {
            $this->updates->apply($run, $long);
        }

        return $run->isOver() ? null : $long;
    }

    /** Step 2. */
    public function open(SetupRun $run, Bar $long): void
    {
        $this->opening->apply($run, $long);
    }

    /** Step 3. */
    public function inside(SetupRun $run, Bar $long, FinerBars $finer): void
    {
        if (! $run->isOver()) {
            $this->inside->apply($run, $long, $finer);
        }
    }

    /**
     * Step 4.
     *
     * @param bool $waited whether a leg waited when the bar began
     */
    public function close(SetupRun $run, Bar $long, bool $waited): void
    {
        $this->closing->apply($run, $long, $waited);
    }

    /**
     * The parts of a bar, as the run sees them, if it can be replayed; else none.
     *
     * @return list<Bar>
     */
    public function parts(SetupRun $run, Bar $long, FinerBars $finer): array
    {
        return $this->inside->usable($run, $long, $finer);
    }

    /** The open of a part of a bar that is replayed. */
    public function openPart(SetupRun $run, Bar $part): void
    {
        $run->beginBar($part, finer: true);
        $this->opening->apply($run, $part, finer: true);
    }

    /** The inside of a part of a bar that is replayed. */
    public function insidePart(SetupRun $run, Bar $part): void
    {
        if (! $run->isOver()) {
            $this->inside->applyFiner($run, $part);
        }
    }

    /**
     * The result as of a moment. What is over by then is judged, and legs whose time is over are told as expired, also
     * without a further bar; the run itself is left as it is, since a bar that began before may still come.
     */
    public function outcome(SetupRun $run, int $asOf): Outcome
    {
        return (new OutcomeWriter($this->by($run, $asOf), $asOf))->write();
    }

    /** Judge what is over by a moment that may lie after the last bar. */
    public function lateBy(SetupRun $run, int $moment): void
    {
        if (! $run->isOver()) {
            $this->closing->lateBy($run, $moment);
        }
    }

    /** A copy of a run, brought to a moment that may lie after its last bar. */
    private function by(SetupRun $run, int $asOf): SetupRun
    {
        if ($run->isOver()) {
            return $run;
        }
        $run = clone $run;
        $this->lateBy($run, $asOf);
        if ($asOf >= $run->setup->entryUntil) {
            $run->expireWaiting($run->setup->entryUntil, null);
        }

        return $run;
    }
}
