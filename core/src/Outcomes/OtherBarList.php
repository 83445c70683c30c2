<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

use Brick\Math\BigDecimal;

/** Closes of other symbols held in memory. */
final readonly class OtherBarList implements OtherBars
{
    /** @param array<string, list<array{int, BigDecimal}>> $closes end and close of each bar, in time order, by symbol */
    public function __construct(private array $closes = [])
    {
    }

    public function closeBy(string $symbol, int $moment): ?BigDecimal
    {
        $bars = $this->closes[$symbol] ?? [];
        $low = 0;
        $high = count($bars);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($bars[$middle][0] <= $moment) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return ($bars[$low - 1] ?? null)[1] ?? null;
    }
}
