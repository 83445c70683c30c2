<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Watchpost\Core\Market\FrameBar;
use Watchpost\Core\Setups\SessionStart;
use Watchpost\Core\Studies\Study;

/** What is known at the moment at which a leg would be filled, told for a long on mirrored prices. */
interface Moment
{
    /** In Unix seconds: the start of the bar for a fill at its open or inside it, its end for a fill at its close. */
    public function at(): int;

    /** When the session opened. */
    public function sessionOpen(): int;

    public function session(): ?SessionStart;

    /** Of the session so far, up to the last finished base bar; null where it is undefined. */
    public function relativeVolume(): ?BigRational;

    /** The bar at whose close the leg would be filled. */
    public function triggerBar(): ?FrameBar;

    /** +1 for a long, -1 for a short. */
    public function sign(): int;

    /** The close of the last finished session, in units. */
    public function sessionClose(): ?int;

    /** The present value of a study that the condition has asked for. */
    public function study(Study $like): ?float;

    /** A price in millionths of the smallest unit as it trades now, rounded half away from zero. */
    public function fine(float $units): float;

    /** The close of the last base bar of another symbol that is over. */
    public function other(string $symbol): ?BigDecimal;
}
