<?php

declare(strict_types=1);

namespace Watchpost\Core\Scanning;

/** Where each of several values stands among the others. */
final class PercentileRank
{
    /**
     * rank = (others below + half of the others that are equal) / number of others x 100; null for one without a value
     * or without others.
     *
     * Unit: 0 (the least) to 100 (the greatest). Source: computations.md, Indicators (relative strength).
     *
     * @template K of array-key
     *
     * @param array<K, float|null> $values
     *
     * @return array<K, float|null>
     */
    public static function of(array $values): array
    {
        $known = array_values(array_filter($values, static fn (?float $value): bool => $value !== null));
        sort($known);
        $others = count($known) - 1;

        return array_map(static function (?float $value) use ($known, $others): ?float {
            if ($value === null || $others < 1) {
                return null;
            }
            $below = count(array_filter($known, static fn (float $other): bool => $other < $value));
            $equal = count(array_filter($known, static fn (float $other): bool => $other === $value)) - 1;

            return ($below + $equal / 2) / $others * 100;
        }, $values);
    }
}
