<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Market\Bar;

/**
 * Judges several setups on one instrument. Those of one group go through each step of a bar together until one of them
 * is filled: that ends what waits of the others at that moment (rules.md, Either/or; fine print 48).
 */
final readonly class GroupEngine
{
    public function __construct(private OutcomeEngine $engine = new OutcomeEngine())
    {
    }

    /**
     * Judge the next base bar.
     *
     * @param list<SetupRun> $runs in order; those of an undecided group are replaced
     *
     * @throws InvalidInput when an update that acts from this bar is one that the rules refuse
     */
    public function feed(array &$runs, Bar $bar, FinerBars $finer = new FinerBarList()): void
    {
        $groups = [];
        foreach ($runs as $i => $run) {
            $group = $run->setup->group;
            if ($group === null) {
                $this->engine->feed($run, $bar, $finer);
            } else {
                $groups[$group][$i] = $run;
            }
        }
        foreach ($groups as $members) {
            if (count($members) === 1 || $this->isDecided($members)) {
                foreach ($members as $run) {
                    $this->engine->feed($run, $bar, $finer);
                }
            } else {
                $runs = array_values(array_replace($runs, $this->feedTogether($members, $bar, $finer)));
            }
        }
    }

    /**
     * The results as of a moment, in the order of the runs; see {@see OutcomeEngine::outcome()}.
     *
     * @param list<SetupRun> $runs
     *
     * @return list<Outcome>
     */
    public function outcomes(array $runs, int $asOf): array
    {
        $groups = [];
        foreach ($runs as $i => $run) {
            $groups[$run->setup->group ?? "\0{$i}"][$i] = $run;
        }
        $by = [];
        foreach ($groups as $members) {
            if (count($members) > 1 && ! $this->isDecided($members)) {
                $members = $this->together($members, function (SetupRun $run) use ($asOf): void {
                    $this->engine->lateBy($run, $asOf);
                });
            }
            $by += $members;
        }

        return array_map(fn (int $i): Outcome => $this->engine->outcome($by[$i], $asOf), array_keys($runs));
    }

    /** @param array<int, SetupRun> $members */
    private function isDecided(array $members): bool
    {
        foreach ($members as $run) {
            if ($run->position->wasFilled()) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array<int, SetupRun> $members
     *
     * @return array<int, SetupRun>
     */
    private function feedTogether(array $members, Bar $bar, FinerBars $finer): array
    {
        /** @var array<int, Bar|null> $longs */
        $longs = [];
        $members = $this->together($members, function (SetupRun $run, int $i) use ($bar, &$longs): void {
            $longs[$i] = $this->engine->begin($run, $bar);
        });
        $waited = array_map(static fn (SetupRun $run): bool => $run->isWaiting(), $members);
        // what a fill of another has ended does nothing more in this bar
        $acting = static fn (SetupRun $run, int $i): ?Bar => $run->isOver() && ! $run->position->wasFilled() ? null : $longs[$i] ?? null;

        $members = $this->together($members, function (SetupRun $run, int $i) use ($acting): void {
            $long = $acting($run, $i);
            if ($long !== null) {
                $this->engine->open($run, $long);
            }
        });
        $members = $this->inside($members, $acting, $finer);

        return $this->together($members, function (SetupRun $run, int $i) use ($acting, $waited): void {
            $long = $acting($run, $i);
            if ($long !== null) {
                $this->engine->close($run, $long, $waited[$i]);
            }
        });
    }

    /**
     * Step 3. When more than one would be filled, all are replayed together on finer bars, even if no single one is
     * ambiguous.
     *
     * @param array<int, SetupRun>           $members
     * @param callable(SetupRun, int): ?Bar $acting
     *
     * @return array<int, SetupRun>
     */
    private function inside(array $members, callable $acting, FinerBars $finer): array
    {
        $step = function (SetupRun $run, int $i) use ($acting, $finer): void {
            $long = $acting($run, $i);
            if ($long !== null) {
                $this->engine->inside($run, $long, $finer);
            }
        };
        [$after, $filled] = $this->attempt($members, $step);
        if (count($filled) < 2) {
            return $this->decide($members, $after, $filled);
        }
        $parts = [];
        foreach ($members as $i => $run) {
            $long = $acting($run, $i);
            $parts[$i] = $long === null ? [] : $this->engine->parts($run, $long, $finer);
        }
        $count = max(0, ...array_map(count(...), $parts));
        if ($count === 0) {
            return $this->decide($members, $after, $filled, $this->byDistance($after, $filled, $acting));
        }
        for ($k = 0; $k < $count; ++$k) {
            $part = static fn (SetupRun $run, int $i): ?Bar => $run->isOver() ? null : $parts[$i][$k] ?? null;
            $members = $this->together($members, function (SetupRun $run, int $i) use ($part): void {
                $bar = $part($run, $i);
                if ($bar !== null) {
                    $this->engine->openPart($run, $bar);
                }
            });
            [$after, $filled] = $this->attempt($members, function (SetupRun $run, int $i) use ($part): void {
                $bar = $part($run, $i);
                if ($bar !== null) {
                    $this->engine->insidePart($run, $bar);
                }
            });
            $members = $this->decide($members, $after, $filled, count($filled) < 2 ? null : $this->byDistance($after, $filled, $part));
        }

        return $members;
    }

    /**
     * The member whose first fill is nearest to the open of the bar, then the earlier in order.
     *
     * @param array<int, SetupRun>           $after
     * @param non-empty-list<int>            $filled
     * @param callable(SetupRun, int): ?Bar $bar
     */
    private function byDistance(array $after, array $filled, callable $bar): int
    {
        $best = $filled[0];
        $least = PHP_INT_MAX;
        foreach ($filled as $i) {
            $open = $bar($after[$i], $i)->open ?? 0;
            foreach ($after[$i]->legs as $state) {
                if ($state->fillPrice !== null && abs($state->fillPrice - $open) < $least) {
                    $least = abs($state->fillPrice - $open);
                    $best = $i;
                }
            }
        }

        return $best;
    }

    /**
     * A step for all members; the earlier in order is the first of two fills at one moment.
     *
     * @param array<int, SetupRun>          $members
     * @param callable(SetupRun, int): void $step
     *
     * @return array<int, SetupRun>
     */
    private function together(array $members, callable $step): array
    {
        [$after, $filled] = $this->attempt($members, $step);

        return $this->decide($members, $after, $filled);
    }

    /**
     * @param array<int, SetupRun>          $members
     * @param callable(SetupRun, int): void $step
     *
     * @return array{array<int, SetupRun>, list<int>} the members after the step, and those that were filled first in it
     */
    private function attempt(array $members, callable $step): array
    {
        $after = [];
        $filled = [];
        foreach ($members as $i => $run) {
            $after[$i] = clone $run;
            $step($after[$i], $i);
            if (! $run->position->wasFilled() && $after[$i]->position->wasFilled()) {
                $filled[] = $i;
            }
        }

        return [$after, $filled];
    }

    /**
     * @param array<int, SetupRun> $before
     * @param array<int, SetupRun> $after
     * @param list<int>            $filled
     *
     * @return array<int, SetupRun>
     */
    private function decide(array $before, array $after, array $filled, ?int $winner = null): array
    {
        if ($filled === []) {
            return $after;
        }
        $winner ??= $filled[0];
        $assumed = count($filled) > 1;
        $known = count($before[$winner]->events);
        $fill = null;
        foreach ($after[$winner]->events as $n => $event) {
            if ($n >= $known && $event->kind === EventKind::Fill) {
                $fill ??= $event;
                if ($assumed) {
                    $after[$winner]->events[$n] = $event->asAssumed();
                }
            }
        }
        foreach ($before as $i => $run) {
            if ($i !== $winner && $fill !== null) {
                $after[$i] = clone $run;
                $after[$i]->giveWay($fill, $assumed);
            }
        }

        return $after;
    }
}
