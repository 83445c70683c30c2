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

    /**
     * Several bars as one: from the first one's start and open to the last one's end and close.
     *
     * @param non-empty-list<self> $bars in time order
     */
    public static function join(array $bars): self
    {
        $first = $bars[0];
        $last = $bars[count($bars) - 1];
        $high = $first->high;
        $low = $first->low;
        $volume = 0;
        foreach ($bars as $bar) {
            $high = max($high, $bar->high);
            $low = min($low, $bar->low);
            $volume += $bar->volume;
        }

        return new self($first->start, $last->end, $first->session, $first->open, $high, $low, $last->close, $volume);
    }

    /** The bar with prices negated, so that a short can be judged as a long. */
    public function mirrored(): self
    {
        return new self($this->start, $this->end, $this->session, -$this->open, -$this->low, -$this->high, -$this->close, $this->volume);
    }
}
