<?php

declare(strict_types=1);

namespace Watchpost\Core\Rehearsal;

use Watchpost\Core\Outcomes\OutcomeStatus;

/**
 * One evening on which the rule found its level, and what came of the setup put there.
 *
 * @phpstan-type CaseState array{symbol: string, session: string, level: int, status: string, r: ?string, reached: bool, assumed: bool, filled: ?string, ended: ?string}
 */
final readonly class RehearsedCase
{
    /**
     * @param string      $session date of the evening on which it would have been published
     * @param int         $level   the price of the level, in units
     * @param string|null $r       of the whole; null without a fill
     * @param bool        $reached whether target 1 was reached before the stop
     * @param bool        $assumed whether the order of things within a bar was assumed, against the trade
     * @param string|null $filled  date of the first fill
     * @param string|null $ended   date of the session after which nothing was left to happen; null while it goes on
     */
    public function __construct(
        public string $symbol,
        public string $session,
        public int $level,
        public OutcomeStatus $status,
        public ?string $r,
        public bool $reached,
        public bool $assumed,
        public ?string $filled,
        public ?string $ended,
    ) {
    }

    public function wasFilled(): bool
    {
        return $this->r !== null;
    }

    /** Whether it counts for rates and means: filled, and at its end. */
    public function counts(): bool
    {
        return $this->wasFilled() && $this->ended !== null;
    }

    /** @return CaseState */
    public function toState(): array
    {
        return [
            'symbol' => $this->symbol,
            'session' => $this->session,
            'level' => $this->level,
            'status' => $this->status->value,
            'r' => $this->r,
            'reached' => $this->reached,
            'assumed' => $this->assumed,
            'filled' => $this->filled,
            'ended' => $this->ended,
        ];
    }

    /** @param CaseState $state */
    public static function fromState(array $state): self
    {
        return new self($state['symbol'], $state['session'], $state['level'], OutcomeStatus::from($state['status']), $state['r'], $state['reached'], $state['assumed'], $state['filled'], $state['ended']);
    }
}
