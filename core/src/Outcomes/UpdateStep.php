<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Setups\Target;
use Watchpost\Core\Setups\Update;
use Watchpost\Core\Setups\UpdateKind;

/** What the author did after publishing, at the open of the first bar on which it acts (rules.md, Updates; fine print 29). */
final class UpdateStep
{
    /** @throws InvalidInput when an update would loosen the stop, or puts prices in an order that the rules refuse */
    public function apply(SetupRun $run, Bar $bar): void
    {
        $updates = $run->terms->updates;
        while (isset($updates[$run->updated]) && $updates[$run->updated]->at <= $bar->start && ! $run->isOver()) {
            $this->act($run, $updates[$run->updated], $bar);
            ++$run->updated;
        }
    }

    /**
     * Act on a run that is thrown away, as if the next bar opened where the last one closed.
     *
     * @throws InvalidInput when the setup is over, when nothing is there to be changed, or when the rules refuse the update
     */
    public function try(SetupRun $run, Update $update): void
    {
        if ($update->kind === UpdateKind::Note) {
            return;
        }
        if ($run->isOver()) {
            throw new InvalidInput("{$update->path}.kind", 'comes too late: the setup is over');
        }
        if ($update->kind === UpdateKind::CancelWaiting && ! $run->isWaiting()) {
            throw new InvalidInput("{$update->path}.kind", 'has nothing to cancel: no part of the entry waits');
        }
        if ($update->kind === UpdateKind::Exit && ! $run->position->isOpen()) {
            throw new InvalidInput("{$update->path}.kind", 'has nothing to take off: no position is open');
        }
        if ($update->kind === UpdateKind::MoveTarget && isset($run->reached[($update->number ?? 0) - 1])) {
            throw new InvalidInput("{$update->path}.number", "names target {$update->number}, which is reached");
        }
        $close = $run->lastBar->close ?? 0;
        $this->act($run, $update, new Bar($update->at, $update->at, '', $close, $close, $close, $close, 0));
    }

    private function act(SetupRun $run, Update $update, Bar $bar): void
    {
        match ($update->kind) {
            UpdateKind::MoveStop => $this->moveStop($run, $update, $bar),
            UpdateKind::MoveTarget => $this->moveTarget($run, $update),
            UpdateKind::CancelWaiting => $run->cancelWaiting('update', $bar),
            UpdateKind::Exit => $this->exit($run, $update, $bar),
            UpdateKind::Note => null,
        };
    }

    private function moveStop(SetupRun $run, Update $update, Bar $bar): void
    {
        $price = $this->price($run, $update);
        if ($price < $run->stop) {
            throw new InvalidInput($update->path.'.price', "would loosen the stop, which stands at {$run->price($run->stop)}");
        }
        if (! $run->position->wasFilled()) {
            foreach ($run->setup->legs as $leg) {
                $planned = $leg->trigger->plannedPrice();
                if ($planned !== null && $price >= $planned) {
                    throw new InvalidInput($update->path.'.price', "must be on the losing side of the entry at {$run->price($planned)}");
                }
            }
        }
        $run->moveStop($price, $bar);
    }

    private function moveTarget(SetupRun $run, Update $update): void
    {
        $index = ($update->number ?? 0) - 1;
        if (! isset($run->targets[$index])) {
            throw new InvalidInput($update->path.'.number', "there is no target {$update->number}");
        }
        $targets = $run->targets;
        $targets[$index] = new Target($this->price($run, $update), $targets[$index]->share);
        $floor = $run->setup->stop;
        foreach ($run->setup->legs as $leg) {
            $floor = max($floor, $leg->trigger->plannedPrice() ?? $floor);
        }
        foreach ($targets as $target) {
            if ($target->price <= $floor) {
                throw new InvalidInput($update->path.'.price', "must lie beyond {$run->price($floor)}, the entry or target before it");
            }
            $floor = $target->price;
        }
        $run->targets = array_values($targets);
    }

    private function exit(SetupRun $run, Update $update, Bar $bar): void
    {
        if ($run->position->isOpen() && $update->share !== null) {
            $run->leave(EventKind::Manual, $run->position->open->multipliedBy($update->share), $bar->open, $bar);
            if (! $run->position->isOpen() && $run->trace !== null) {
                $run->trace->outAtOpen = $bar->open;
            }
        }
    }

    /** The price of an update is on the scale of the bar from which it acts. */
    private function price(SetupRun $run, Update $update): int
    {
        return ($update->price ?? 0) * $run->factor * $run->sign;
    }
}
