<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\FrameBar;

/** What can keep a leg from being filled when its trigger fires (rules.md, Triggers and Conditions; fine print 17). */
final class FillCheck
{
    /**
     * The first condition that does not hold, or "worst"; null when the leg is filled.
     *
     * @param int           $at     the moment of the fill
     * @param FrameBar|null $closed the bar at whose close it is filled
     */
    public function skips(SetupRun $run, LegState $state, int $price, int $at, ?FrameBar $closed = null): ?string
    {
        if ($run->setup->conditions !== []) {
            $moment = new RunMoment($run, $at, $closed);
            foreach ($run->setup->conditions as $condition) {
                if (! $condition->holds($moment)) {
                    return $condition->kind();
                }
            }
        }
        $worst = $state->leg->trigger->worst();

        return $worst !== null && $price > $worst ? 'worst' : null;
    }

    /** Why a fill at this price would make no sense: at or past the stop in force or the first target. */
    public function voids(SetupRun $run, int $price, int $stop): ?string
    {
        $firstTarget = $run->targets[0] ?? null;

        return match (true) {
            $price <= $stop => 'past_stop',
            $firstTarget !== null && $price >= $firstTarget->price => 'past_target',
            default => null,
        };
    }

    /** Tell of a skipped leg, and keep it out of the bar. */
    public function skip(SetupRun $run, LegState $state, string $reason, Bar $bar, bool $finer): void
    {
        $run->skip($state, $reason, $bar);
        $state->keepOut($finer);
    }
}
