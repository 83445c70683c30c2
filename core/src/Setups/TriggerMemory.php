<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** What a trigger remembers from bar to bar. Which of it a kind uses is its own matter. */
final class TriggerMemory
{
    /** A retest waits for price to come back. */
    public bool $armed = false;
    /** Closes beyond, in a row. */
    public int $streak = 0;
    /** Closes that are left for price to come back after it overshot. */
    public int $window = 0;
    /** The lowest price, for a long, of the bar of the trigger's time frame that is being built. */
    public ?int $low = null;
    /** The trigger has fired at a close, and is filled at the next open. */
    public bool $awaitsOpen = false;
    /** An entry that is tried once has been tried. */
    public bool $tried = false;

    /** @return array{bool, int, int, ?int, bool, bool} */
    public function toState(): array
    {
        return [$this->armed, $this->streak, $this->window, $this->low, $this->awaitsOpen, $this->tried];
    }

    /** @param array{bool, int, int, ?int, bool, bool} $state */
    public static function fromState(array $state): self
    {
        $memory = new self();
        [$memory->armed, $memory->streak, $memory->window, $memory->low, $memory->awaitsOpen, $memory->tried] = $state;

        return $memory;
    }
}
