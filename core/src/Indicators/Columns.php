<?php

declare(strict_types=1);

namespace Watchpost\Core\Indicators;

/** Arithmetic on columns that may be undefined in places. */
final class Columns
{
    /**
     * a - b, null where either is.
     *
     * @param list<float|null> $a
     * @param list<float|null> $b as long as $a
     *
     * @return list<float|null>
     */
    public static function difference(array $a, array $b): array
    {
        return self::band($a, $b, -1.0);
    }

    /**
     * a + k x b, null where either is.
     *
     * @param list<float|null> $a
     * @param list<float|null> $b as long as $a
     *
     * @return list<float|null>
     */
    public static function band(array $a, array $b, float $k): array
    {
        $out = [];
        foreach ($a as $i => $value) {
            $other = $b[$i];
            $out[] = $value === null || $other === null ? null : $value + $k * $other;
        }

        return $out;
    }
}
