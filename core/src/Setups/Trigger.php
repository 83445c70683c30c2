<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Watchpost\Core\InvalidInput;
use Watchpost\Core\Json\Node;
use Watchpost\Core\Market\Bar;
use Watchpost\Core\Market\PriceGrid;

/**
 * What must happen for a leg to be filled (rules.md, Triggers). All methods but the last two speak of a long; the
 * engine judges a short as the long on mirrored prices.
 *
 * A new kind is one class, added to {@see Triggers::KINDS}; the engine names none.
 */
interface Trigger
{
    /** The word for it in JSON. */
    public static function kind(): string;

    /** @throws InvalidInput with the path of the fault */
    public static function read(Node $node, PriceGrid $grid): self;

    /** The trigger on negated prices. */
    public function mirrored(): self;

    /** The trigger with prices times a whole number. */
    public function times(int $factor): self;

    /** The price, in units, from which planned risk counts and at which an inside fill is made. */
    public function plannedPrice(): int;

    public function atOpen(int $open): OpenVerdict;

    /** Whether the bar, which has not filled the leg at its open, trades at the planned price. */
    public function isReachedIn(Bar $bar): bool;

    public function approach(): Approach;

    /** How far the bar stayed from filling the leg, in units, at least 0. */
    public function missedBy(Bar $bar): int;

    public function paysSlippage(): bool;

    /** The words of the sentence that follow "Long" or "Short"; spoken of the side's real prices. */
    public function describe(Side $side, PriceGrid $grid): string;

    /**
     * What the sentence says at its end about this trigger.
     *
     * @return list<string>
     */
    public function caveats(Side $side, PriceGrid $grid): array;
}
