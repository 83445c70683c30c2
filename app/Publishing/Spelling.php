<?php

declare(strict_types=1);

namespace App\Publishing;

/** Finds what was probably meant by a name that is none. */
final class Spelling
{
    private const MOST_SLIPS = 2;

    /** @param array<int, string> $known */
    public static function nearest(string $name, array $known): ?string
    {
        $best = null;
        $least = self::MOST_SLIPS + 1;
        foreach ($known as $one) {
            $slips = levenshtein($name, $one);
            if ($slips < $least) {
                [$best, $least] = [$one, $slips];
            }
        }

        return $best;
    }
}
