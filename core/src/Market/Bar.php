<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/**
 * One bar. Prices in units of the instrument's grid, times in Unix seconds, the session by its date.
 *
 * @phpstan-type BarState array{int, int, string, int, int, int, int, int}
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

    /** This bar and the next one as one. */
    public function joinedWith(self $next): self
    {
        return new self(
            $this->start,
            $next->end,
            $this->session,
            $this->open,
            $next->high > $this->high ? $next->high : $this->high,
            $next->low < $this->low ? $next->low : $this->low,
            $next->close,
            $this->volume + $next->volume,
        );
    }

    /** The bar with prices negated, so that a short can be judged as a long. */
    public function mirrored(): self
    {
        return new self($this->start, $this->end, $this->session, -$this->open, -$this->low, -$this->high, -$this->close, $this->volume);
    }

    /** The bar with prices times a whole number. */
    public function times(int $factor): self
    {
        return new self($this->start, $this->end, $this->session, $this->open * $factor, $this->high * $factor, $this->low * $factor, $this->close * $factor, $this->volume);
    }

    /** The bar on the scale on which one old unit is so many new ones; rounded to whole units, prices to at least one. */
    public function dividedBy(float $ratio): self
    {
        $price = static fn (int $units): int => max(1, (int) floor($units / $ratio + 0.5));

        return new self($this->start, $this->end, $this->session, $price($this->open), $price($this->high), $price($this->low), $price($this->close), (int) round($this->volume * $ratio));
    }

    /** @return BarState */
    public function toState(): array
    {
        return [$this->start, $this->end, $this->session, $this->open, $this->high, $this->low, $this->close, $this->volume];
    }

    /** @param BarState $state */
    public static function fromState(array $state): self
    {
        return new self(...$state);
    }
}
