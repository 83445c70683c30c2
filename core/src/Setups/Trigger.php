<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Market\PriceGrid;
use Watchpost\Core\Market\TimeFrame;

/**
 * What must happen for a leg to be filled (rules.md, Triggers). All but the last two methods speak of a long; the
 * engine judges a short as the long on mirrored prices. What is said here holds for a kind that reacts to nothing; each
 * kind says what it reacts to.
 *
 * A new kind is one class, added to {@see Triggers::KINDS}; the engine names none.
 */
abstract readonly class Trigger
{
    /** The word for it in JSON. */
    abstract public static function kind(): string;

    /**
     * @param TimeFrame $base that of the bars the setup is judged on
     *
     * @throws InvalidInput with the path of the fault
     */
    abstract public static function read(Node $node, PriceGrid $grid, TimeFrame $base): self;

    /** The trigger on negated prices. */
    abstract public function mirrored(): self;

    /** The trigger with prices times a whole number. */
    abstract public function times(int $factor): self;

    /** The price, in units, from which planned risk counts and at which an inside fill is made; null if there is none before the fill. */
    public function plannedPrice(): ?int
    {
        return null;
    }

    /** The furthest price at which a fill is made; null for any. */
    public function worst(): ?int
    {
        return null;
    }

    /** The time frame of the closes it listens to. */
    public function timeFrame(): ?TimeFrame
    {
        return null;
    }

    /** Whether it is filled at a close, which is known only when a bar is over. */
    public function fillsAtClose(): bool
    {
        return false;
    }

    /** Whether the price of an inside fill can be met now. */
    public function isReady(TriggerMemory $memory): bool
    {
        return true;
    }

    /** Whether a bar passes the leg by: neither its open nor its range fills it, and it need not remember the bar. */
    public function isPassedBy(Bar $bar, TriggerMemory $memory): bool
    {
        return false;
    }

    public function atOpen(BarOpen $open, TriggerMemory $memory): OpenVerdict
    {
        return OpenVerdict::NotReached;
    }

    /** Whether the bar, which has not filled the leg at its open, trades at the planned price. */
    public function isReachedIn(Bar $bar): bool
    {
        return false;
    }

    /** How price comes to the planned price inside a bar; null for a trigger that fills at opens and closes only. */
    public function approach(): ?Approach
    {
        return null;
    }

    /** A base bar on which the leg may act has been traded. */
    public function watch(Bar $bar, TriggerMemory $memory): void
    {
    }

    /** A bar of the trigger's time frame has closed. */
    public function atClose(FrameBar $closed, TriggerMemory $memory): CloseVerdict
    {
        return CloseVerdict::Nothing;
    }

    /**
     * How far a base bar stayed from filling the leg, in units, at least 0; null when the bar does not count.
     *
     * @param FrameBar|null $closed the bar of the trigger's time frame that closed with it
     * @param bool          $armed  whether the trigger was armed when the bar began
     */
    public function missedBy(Bar $bar, ?FrameBar $closed, bool $armed): ?int
    {
        return null;
    }

    abstract public function paysSlippage(): bool;

    /** The words of the sentence that follow "Long" or "Short"; spoken of the side's real prices. */
    abstract public function describe(Words $words): string;

    /**
     * What the sentence says at its end about this trigger.
     *
     * @return list<string>
     */
    public function caveats(Words $words): array
    {
        return [];
    }
}
