<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** The triggers an author can plan with; the words are those of the rules. */
enum TriggerKind: string
{
    case Touch = 'touch';
    case Break = 'break';
    case CloseBeyond = 'close_beyond';
    case Retest = 'retest';
    case Overshoot = 'overshoot';
    case Open = 'open';
    case Market = 'market';

    /** Whether it waits for a price; the others take an open as it comes. */
    public function hasPrice(): bool
    {
        return $this !== self::Open && $this !== self::Market;
    }

    /** Whether its planned price includes a tolerance. */
    public function hasTolerance(): bool
    {
        return $this === self::Touch || $this === self::Retest;
    }

    /**
     * The kinds that make sense for an entry at a price, the likeliest first: price would come back to it, or would go
     * through it.
     *
     * @return non-empty-list<self>
     */
    public static function offered(bool $comesBack): array
    {
        return $comesBack ? [self::Touch, self::Overshoot, self::Retest] : [self::Break, self::CloseBeyond, self::Retest];
    }
}
