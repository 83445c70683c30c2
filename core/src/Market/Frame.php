<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/**
 * Builds the bars of one time frame from base bars as they come, one unfinished bar at a time, and says of each when
 * it is known to be over: with its last base bar, if that ends where the larger bar must end; else only when a base
 * bar of a later one starts, or when the moment asked about has passed that end (rules.md, fine print 7).
 *
 * @phpstan-import-type BarState from Bar
 *
 * @phpstan-type FrameState array{key: ?string, bar: BarState|null, closer: BarState|null, high: ?int, low: ?int, done: bool, end: ?int}
 */
final class Frame
{
    private ?string $key = null;
    /** The larger bar as far as it was built; its end is that of its last base bar. */
    private ?Bar $bar = null;
    private ?Bar $closer = null;
    private ?int $actedHigh = null;
    private ?int $actedLow = null;
    private bool $done = true;
    /** Where the larger bar must end; null for a period of which no session is listed. */
    private ?int $end = null;

    private readonly ?int $seconds;

    public function __construct(public readonly TimeFrame $timeFrame, private readonly TimeFrame $base)
    {
        $this->seconds = $timeFrame->seconds();
    }

    /** Whether a larger bar has begun and not closed. */
    public function isPending(): bool
    {
        return ! $this->done;
    }

    /** The larger bar that is known to be over because this base bar starts a later one; null if there is none. */
    public function endedBefore(Bar $base, Session $session, SessionBook $book): ?FrameBar
    {
        return $this->done || $this->keyOf($base, $session, $book) === $this->key ? null : $this->close();
    }

    /** The larger bar that is over because the moment has passed its end. */
    public function endedBy(int $moment): ?FrameBar
    {
        return $this->done || $this->end === null || $this->end > $moment ? null : $this->close();
    }

    /** Take a base bar in; gives the larger bar if it closes with it. */
    public function take(Bar $base, bool $acts, Session $session, SessionBook $book): ?FrameBar
    {
        if ($this->timeFrame === $this->base) {
            return new FrameBar($base, $base, $acts ? $base->high : null, $acts ? $base->low : null);
        }
        $key = $this->keyOf($base, $session, $book);
        if ($key !== $this->key || $this->bar === null) {
            $this->key = $key;
            $this->bar = $base;
            $this->actedHigh = $this->actedLow = null;
            $this->end = $this->endOf($base, $session, $book);
        } else {
            $this->bar = $this->bar->joinedWith($base);
        }
        $this->closer = $base;
        if ($acts) {
            $this->actedHigh = max($this->actedHigh ?? $base->high, $base->high);
            $this->actedLow = min($this->actedLow ?? $base->low, $base->low);
        }
        $this->done = false;

        return $this->end !== null && $base->end >= $this->end ? $this->close() : null;
    }

    private function close(): FrameBar
    {
        assert($this->bar !== null && $this->closer !== null);
        $this->done = true;

        return new FrameBar($this->bar, $this->closer, $this->actedHigh, $this->actedLow);
    }

    private function keyOf(Bar $base, Session $session, SessionBook $book): string
    {
        return $this->seconds === null
            ? $book->periodOf($base->session, $this->timeFrame)
            : $base->session.'#'.BarBuilder::place($base->start - $session->open, $this->seconds);
    }

    private function endOf(Bar $base, Session $session, SessionBook $book): ?int
    {
        return match (true) {
            $this->seconds !== null => min($session->open + (BarBuilder::place($base->start - $session->open, $this->seconds) + 1) * $this->seconds, $session->close),
            $this->timeFrame === TimeFrame::Day => $session->close,
            default => $book->closeOfPeriod($base->session, $this->timeFrame),
        };
    }

    /** @return FrameState */
    public function toState(): array
    {
        return [
            'key' => $this->key,
            'bar' => $this->bar?->toState(),
            'closer' => $this->closer?->toState(),
            'high' => $this->actedHigh,
            'low' => $this->actedLow,
            'done' => $this->done,
            'end' => $this->end,
        ];
    }

    /** @param FrameState $state */
    public function restore(array $state): void
    {
        $this->key = $state['key'];
        $this->bar = $state['bar'] === null ? null : Bar::fromState($state['bar']);
        $this->closer = $state['closer'] === null ? null : Bar::fromState($state['closer']);
        $this->actedHigh = $state['high'];
        $this->actedLow = $state['low'];
        $this->done = $state['done'];
        $this->end = $state['end'];
    }
}
