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

    public static function of(SetupRun $run, Bar $bar): self
    {
        $cancel = self::cancelIn($run, $bar);
        $cancelBelow = $cancel !== null && $cancel < $bar->open;
        $legs = [];
        $returns = $through = $across = false;
        foreach ($run->legs as $state) {
            if (! $state->mayFill() || ! $state->leg->trigger->isReachedIn($bar)) {
                continue;
            }
            $price = $state->leg->trigger->plannedPrice();
            $comesBack = $state->leg->trigger->approach() === Approach::Return;
            if ($comesBack && $price <= $run->stop) {
                continue; // the stop is met first (fine print 14)
            }
            if ($cancel !== null) {
                if (($price < $bar->open) !== $cancelBelow) {
                    $across = true;
                } elseif ($run->setup->cancel?->comesAfter($price) === false) {
                    continue; // beyond the cancel price: it ends before price gets there
                }
            }
            $legs[] = $state;
            $returns = $returns || $comesBack;
            $through = $through || ! $comesBack;
        }
        usort($legs, static fn (LegState $a, LegState $b): int => abs($a->leg->trigger->plannedPrice() - $bar->open) <=> abs($b->leg->trigger->plannedPrice() - $bar->open));

        return new self(
            $legs,
            $returns,
            $through,
            $run->stop >= $bar->low && $run->stop <= $bar->high,
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

    /** The price of a cancel that ends waiting legs inside the bar; null if it is not met. */
    private static function cancelIn(SetupRun $run, Bar $bar): ?int
    {
        $price = $run->setup->cancel?->price;

        return $price !== null && $run->isWaiting() && $price >= $bar->low && $price <= $bar->high ? $price : null;
    }
}
