<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/**
 * One bar. Prices in units of the instrument's grid, times in Unix seconds, the session by its date.
 */
final readonly class Bar
{
    public function __construct(
        public int $start,
        public int $end,
        public string $session,
        public int $open,
        public int $high,
        public int $low,
        public int $close,
        public int $volume,
    ) {
    }

    /** The bar with prices negated, so that a short can be judged as a long. */
    public function mirrored(): self
    {
        return new self($this->start, $this->end, $this->session, -$this->open, -$this->low, -$this->high, -$this->close, $this->volume);
    }
}
