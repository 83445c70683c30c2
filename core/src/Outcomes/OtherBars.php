<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;

/** Where a condition on another symbol looks. */
interface OtherBars
{
    /** The close of the last base bar of a symbol that ended at or before a moment; null if there is none. */
    public function closeBy(string $symbol, int $moment): ?BigDecimal;
}
