<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Market\Bar;
use Watchpost\Core\Setups\Approach;

/**
 * What lies between the extremes of a bar after its open: legs, stop, targets, cancel; and whether the bar alone can
 * tell in which order they were met (rules.md, Order 3).
 */
final readonly class Reach
{
    /**
     * @param list<LegState> $legs    that may fill, the nearest to the open first
     * @param bool           $returns whether a leg is reached coming back
     * @param bool           $through whether a leg is reached going through
     * @param list<int>      $targets by index
     */
    private function __construct(
        public array $legs,
        public bool $returns,
        private bool $through,
        public bool $stop,
        public array $targets,
        public bool $cancel,
        private bool $cancelAcross,
        private bool $held,
    ) {
    }

    /**
     * @param callable(LegState, int): bool $passes whether a leg in reach, at its price, is filled by its conditions;
     *                                              asked once for each
     */
    public static function of(SetupRun $run, Bar $bar, callable $passes): self
    {
        $cancel = self::cancelIn($run, $bar);
        $cancelBelow = $cancel !== null && $cancel < $bar->open;
        $touchStop = $run->setup->stopCloses === null;
        $legs = [];
        $returns = $through = $across = false;
        foreach ($run->legs as $state) {
            if (! $state->mayFill()) {
                continue;
            }
            $trigger = $state->leg->trigger;
            $price = $trigger->plannedPrice();
            if ($price === null || ! $trigger->isReady($state->memory) || ! $trigger->isReachedIn($bar)) {
                continue;
            }
            $comesBack = $trigger->approach() === Approach::Return;
            if ($comesBack && $touchStop && $price <= $run->stop) {
                continue; // the stop is met first (fine print 14)
            }
            $isAcross = $cancel !== null && ($price < $bar->open) !== $cancelBelow;
            if ($cancel !== null && ! $isAcross && $run->setup->cancel?->comesAfter($price) === false) {
                continue; // beyond the cancel price: it ends before price gets there
            }
            if (! $passes($state, $price)) {
                continue;
            }
            $across = $across || $isAcross;
            $legs[] = $state;
            $returns = $returns || $comesBack;
            $through = $through || ! $comesBack;
        }
        if (count($legs) > 1) {
            usort($legs, static fn (LegState $a, LegState $b): int => self::distance($a, $bar) <=> self::distance($b, $bar));
        }

        return new self(
            $legs,
            $returns,
            $through,
            $touchStop && $run->stop >= $bar->low && $run->stop <= $bar->high,
            $run->targetsAt($bar->high),
            $cancel !== null,
            $across,
            $run->position->isOpen(),
        );
    }

    /** Whether the order in which things were met cannot be told from this bar. */
    public function isAmbiguous(): bool
    {
        return $this->cancelAcross || match (true) {
            $this->legs === [] => $this->held && $this->stop && $this->targets !== [],
            ! $this->through => $this->stop && $this->targets !== [],
            ! $this->returns => $this->stop,
            default => $this->stop || $this->targets !== [],
        };
    }

    /** How far a leg lies from the open of a bar. */
    public static function distance(LegState $state, Bar $bar): int
    {
        return abs(($state->leg->trigger->plannedPrice() ?? $bar->open) - $bar->open);
    }

    /** The price of a cancel that ends waiting legs inside the bar; null if it is not met. */
    private static function cancelIn(SetupRun $run, Bar $bar): ?int
    {
        $cancel = $run->setup->cancel;

        return $cancel !== null && $cancel->closes === null && $run->isWaiting() && $cancel->price >= $bar->low && $cancel->price <= $bar->high ? $cancel->price : null;
    }
}
