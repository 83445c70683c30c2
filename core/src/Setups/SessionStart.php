<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

use Brick\Math\BigRational;

/** How a session began: its open, the close of the session before, if any, and the gap between the two. */
final readonly class SessionStart
{
    public function __construct(public int $open, public ?int $previousClose, private int $sign)
    {
    }

    /**
     * The gap in the direction of the trade: (open / previous close - 1) x 100 x direction; null without a session before.
     *
     * Unit: percent. Source: rules.md, Triggers.
     */
    public function gap(): ?BigRational
    {
        return $this->previousClose === null || $this->previousClose === 0
            ? null
            : BigRational::nd(($this->open - $this->previousClose) * 100 * $this->sign, $this->previousClose);
    }
}
