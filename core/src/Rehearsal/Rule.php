<?php

declare(strict_types=1);

namespace Watchpost\Core\Rehearsal;

use Watchpost\Core\Setups\RelativeDraft;

/**
 * What is rehearsed: a setup told by distances from the level it stands at, the kind of that level, and where it lay.
 *
 * @phpstan-import-type RelativeState from RelativeDraft
 * @phpstan-import-type LevelRuleState from LevelRule
 *
 * @phpstan-type RuleState array{setup: RelativeState, at: LevelRuleState, close: int}
 */
final readonly class Rule
{
    /** How far a level may lie from the close, in ATR, when the setup's own lies nearer. */
    private const REACH = 1.5;

    /**
     * @param RelativeDraft $setup complete
     * @param int           $close the last close on its evening, in units
     */
    public function __construct(public RelativeDraft $setup, public LevelRule $at, public int $close)
    {
    }

    /** On which side of the close the level lies: -1 below, +1 above, 0 at it. */
    public function side(): int
    {
        return $this->at->kind === null ? 0 : $this->setup->level <=> $this->close;
    }

    /** How far from the close a level is still taken, in ATR: half as far again as the setup's own, at least 1.5. */
    public function reach(): float
    {
        return max(self::REACH, 1.5 * abs($this->setup->away($this->close)));
    }

    /** @return RuleState */
    public function toState(): array
    {
        return ['setup' => $this->setup->toState(), 'at' => $this->at->toState(), 'close' => $this->close];
    }

    /** @param RuleState $state */
    public static function fromState(array $state): self
    {
        return new self(RelativeDraft::fromState($state['setup']), LevelRule::fromState($state['at']), $state['close']);
    }
}
