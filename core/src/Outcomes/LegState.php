<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Watchpost\Core\Setups\Leg;
use Watchpost\Core\Setups\TriggerMemory;

/** Where one leg stands. */
final class LegState
{
    public LegStatus $status = LegStatus::Waiting;
    public TriggerMemory $memory;
    public ?int $fillPrice = null;

    /** Whether it may act on this base bar: what it needs was filled on an earlier one. */
    public bool $active = false;

    /** Whether the trigger was armed when the base bar began. */
    public bool $armedAtStart = false;

    /** Kept out for the whole base bar by its open, or skipped on it. */
    public bool $outOfBaseBar = false;

    /** Kept out of the finer bar being replayed by that bar's open, or skipped on it. */
    public bool $outOfFinerBar = false;

    /** A skip has been told on this base bar. */
    public bool $skipTold = false;

    /** The time frame of the closes its trigger listens to. */
    public readonly ?string $frame;

    public function __construct(public readonly Leg $leg)
    {
        $this->frame = $leg->trigger->timeFrame()?->value;
        $this->memory = new TriggerMemory();
    }

    public function __clone()
    {
        $this->memory = clone $this->memory;
    }

    public function isWaiting(): bool
    {
        return $this->status === LegStatus::Waiting;
    }

    /** Whether it waits on prices now, and not for another leg. */
    public function acts(): bool
    {
        return $this->active && $this->status === LegStatus::Waiting;
    }

    public function mayFill(): bool
    {
        return $this->acts() && ! $this->outOfBaseBar && ! $this->outOfFinerBar;
    }

    public function keepOut(bool $finer): void
    {
        if ($finer) {
            $this->outOfFinerBar = true;
        } else {
            $this->outOfBaseBar = true;
        }
    }
}
