<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** A finished bar of some time frame, as it was built from base bars, with the base bar that closed it. */
final readonly class FrameBar
{
    /**
     * @param int|null $actedHigh the highest price of those of its base bars that could act; null when none could
     * @param int|null $actedLow  likewise the lowest
     */
    public function __construct(
        public Bar $bar,
        public Bar $closer,
        public ?int $actedHigh,
        public ?int $actedLow,
    ) {
    }
}
