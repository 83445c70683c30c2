<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\TimeFrame;
use Watchpost\Core\Setups\CloseVerdict;

/**
 * Step 4 of a bar: what its close does, and the close of every larger bar that ends with it (rules.md, The order of
 * things). A larger bar or a session that is known to be over only later is judged then, by how things stood at its
 * close (fine print 8).
 */
final readonly class ClosingStep
{
    public function __construct(private FillCheck $check = new FillCheck())
    {
    }

    /** Take a base bar in, and judge what closes with it. */
    public function apply(SetupRun $run, Bar $bar, bool $waited): void
    {
        $acts = $run->acts($bar);
        $run->volume?->see($bar, $run->factor);
        $closed = [];
        $session = $run->track->session();
        if ($session !== null) {
            foreach ($run->frames as $frame) {
                $frameBar = $frame->take($bar, $acts, $session, $run->terms->sessions);
                if ($frameBar !== null) {
                    $closed[$frame->timeFrame->value] = $frameBar;
                    $run->study($frameBar, $frame->timeFrame);
                }
            }
        }
        $ends = $run->track->closesWith($bar);
        if ($ends) {
            $run->track->over = true;
        }
        if (! $acts) {
            return;
        }
        $run->closeStop = $run->stop;
        $run->closeHeld = $run->position->isOpen();
        $filledBefore = $run->position->wasFilled();
        if ($run->frames !== []) {
            $this->watch($run, $bar);
            $this->judge($run, $bar, $closed);
        }
        $run->countSession($bar);
        if ($waited && ! $filledBefore && isset($run->targets[0]) && $bar->high >= $run->targets[0]->price) {
            $run->targetFirst ??= $bar->session;
        }
        if ($ends) {
            $this->endSession($run, $bar);
        }
        $this->missed($run, $bar, $closed, late: false);
        $this->moveStop($run, $bar);
    }

    /** Judge what is known to be over only because this bar, which has not acted yet, starts something later. */
    public function lateBefore(SetupRun $run, Bar $last, Bar $next): void
    {
        if (! $this->isPending($run)) {
            return;
        }
        $closed = [];
        $session = $next->session === $last->session ? $run->track->session() : $run->terms->sessions->of($next->session, $next->start);
        if ($session !== null) {
            foreach ($run->frames as $frame) {
                $frameBar = $frame->endedBefore($next, $session, $run->terms->sessions);
                if ($frameBar !== null) {
                    $closed[$frame->timeFrame->value] = $frameBar;
                }
            }
        }
        $this->late($run, $last, $closed, $run->track->endsBefore($next));
        $lastSession = $run->setup->lastSession;
        if ($lastSession !== null && $next->session > $lastSession && $run->acts($last)) {
            $this->endInstrument($run, $last);
        }
    }

    /** Judge what is known to be over because a moment has come. */
    public function lateBy(SetupRun $run, int $moment): void
    {
        $last = $run->lastBar;
        if ($last === null) {
            return;
        }
        $closed = [];
        foreach ($run->frames as $frame) {
            $frameBar = $frame->endedBy($moment);
            if ($frameBar !== null) {
                $closed[$frame->timeFrame->value] = $frameBar;
            }
        }
        $this->late($run, $last, $closed, $run->track->isOverBy($moment));
        $lastSession = $run->setup->lastSession;
        if ($lastSession !== null && $run->acts($last) && ($run->terms->sessions->closeOf($lastSession) ?? PHP_INT_MAX) <= $moment) {
            $this->endInstrument($run, $last);
        }
    }

    /** Whether something has begun whose end has not been judged. */
    private function isPending(SetupRun $run): bool
    {
        if (! $run->track->over || $run->setup->lastSession !== null) {
            return true;
        }
        foreach ($run->frames as $frame) {
            if ($frame->isPending()) {
                return true;
            }
        }

        return false;
    }

    /** @param array<string, FrameBar> $closed by time frame, the smallest first */
    private function late(SetupRun $run, Bar $last, array $closed, bool $sessionEnds): void
    {
        foreach ($closed as $frame => $frameBar) {
            $run->study($frameBar, TimeFrame::from($frame));
        }
        if ($sessionEnds) {
            $run->track->over = true;
        }
        if (($closed === [] && ! $sessionEnds) || ! $run->acts($last) || $run->isOver()) {
            return;
        }
        $this->judge($run, $last, $closed);
        $run->countSession($last);
        if ($sessionEnds) {
            $this->endSession($run, $last);
        }
        $this->missed($run, $last, $closed, late: true);
        $this->moveStop($run, $last);
    }

    private function watch(SetupRun $run, Bar $bar): void
    {
        if (! $run->isWaiting()) {
            return;
        }
        foreach ($run->legs as $state) {
            if ($state->acts()) {
                $state->leg->trigger->watch($bar, $state->memory);
            }
        }
    }

    /** @param array<string, FrameBar> $closed by time frame, the smallest first */
    private function judge(SetupRun $run, Bar $bar, array $closed): void
    {
        foreach ($closed as $frame => $frameBar) {
            if ($run->isOver()) {
                break;
            }
            if ($run->closeHeld) {
                $this->stop($run, $bar, $frame);
            }
            if ($run->isWaiting()) {
                $this->cancel($run, $bar, $frame);
                $this->triggers($run, $bar, $frame, $frameBar);
            }
        }
        foreach ($run->trailed as $frame) {
            if (isset($closed[$frame]) && $run->position->wasFilled()) {
                $run->highestClose[$frame] = max($run->highestClose[$frame] ?? $bar->close, $bar->close);
            }
        }
    }

    private function stop(SetupRun $run, Bar $bar, string $frame): void
    {
        $rule = $run->setup->stopCloses;
        if ($rule === null || $rule->timeFrame->value !== $frame || ! $run->position->isOpen()) {
            return;
        }
        $run->stopStreak = $bar->close < $run->closeStop ? $run->stopStreak + 1 : 0;
        if ($run->stopStreak >= $rule->times) {
            $run->stopOut($bar->close, $bar);
        }
    }

    private function cancel(SetupRun $run, Bar $bar, string $frame): void
    {
        $cancel = $run->setup->cancel;
        if ($cancel?->closes === null || $cancel->closes->timeFrame->value !== $frame) {
            return;
        }
        $run->cancelStreak = $cancel->isPassedBy($bar->close) ? $run->cancelStreak + 1 : 0;
        if ($run->cancelStreak >= $cancel->closes->times) {
            $run->cancelWaiting('cancel', $bar);
        }
    }

    private function triggers(SetupRun $run, Bar $bar, string $frame, FrameBar $frameBar): void
    {
        $void = [];
        foreach ($run->legs as $state) {
            if ($state->frame !== $frame || ! $state->acts()) {
                continue;
            }
            switch ($state->leg->trigger->atClose($frameBar, $state->memory)) {
                case CloseVerdict::Arms:
                    $run->events[] = Event::in($bar, EventKind::Armed, ['leg' => $state->leg->name]);
                    break;
                case CloseVerdict::Disarms:
                    $run->events[] = Event::in($bar, EventKind::Disarmed, ['leg' => $state->leg->name]);
                    break;
                case CloseVerdict::Fills:
                    $skipped = $this->check->skips($run, $state, $bar->close, $bar->end, $frameBar);
                    if ($skipped !== null) {
                        $run->skip($state, $skipped, $bar);
                        break;
                    }
                    $reason = $this->check->voids($run, $bar->close, $run->closeStop);
                    if ($reason !== null) {
                        $void[] = [$state, $reason];
                    } else {
                        $run->fillAtClose($state, $bar);
                    }
                    break;
                case CloseVerdict::Nothing:
            }
        }
        foreach ($void as [$state, $reason]) {
            $run->void($state, $reason, $bar->close, $bar);
        }
    }

    private function endSession(SetupRun $run, Bar $bar): void
    {
        if ($run->position->isOpen() && $run->setup->timeStop !== null && $run->sessionsSeen >= $run->setup->timeStop) {
            $run->leave(EventKind::Time, $run->position->open, $bar->close, $bar);
        }
        if ($run->setup->lastSession !== null && $bar->session >= $run->setup->lastSession) {
            $this->endInstrument($run, $bar);
        }
    }

    /** The instrument's last session is over: what waits expires, and what is held goes at its close. */
    private function endInstrument(SetupRun $run, Bar $bar): void
    {
        $run->expireWaiting($bar->start, $bar->session);
        if ($run->position->isOpen()) {
            $run->leave(EventKind::Ended, $run->position->open, $bar->close, $bar);
        }
    }

    /** @param array<string, FrameBar> $closed */
    private function missed(SetupRun $run, Bar $bar, array $closed, bool $late): void
    {
        if (! $run->isWaiting()) {
            return;
        }
        foreach ($run->legs as $i => $state) {
            if (! $state->acts() || ($late && $state->leg->trigger->approach() !== null)) {
                continue;
            }
            $distance = $state->leg->trigger->missedBy($bar, $state->frame === null ? null : $closed[$state->frame] ?? null, $state->armedAtStart);
            if ($distance !== null && ($run->missedBy === null || $distance < $run->missedBy->distance)) {
                $run->missedBy = new MissedBy($i, $distance, $bar->session);
            }
        }
    }

    /** All moves of a bar give one new stop, in force from the next bar on. */
    private function moveStop(SetupRun $run, Bar $bar): void
    {
        if ($run->setup->stopMoves === [] || ! $run->position->isOpen()) {
            return;
        }
        $progress = new RunProgress($run);
        $stop = $run->stop;
        foreach ($run->setup->stopMoves as $i => $move) {
            $come = isset($run->movesCome[$i]);
            if ($come ? ! $move->to->trails() : ! $move->after->hasCome($progress)) {
                continue;
            }
            $run->movesCome[$i] = true;
            $stop = max($stop, $move->to->price($progress) ?? $stop);
        }
        $run->moveStop($stop, $bar);
    }
}
