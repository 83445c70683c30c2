<?php

declare(strict_types=1);

namespace App\Support;

/** A figure with its sign before it, for a person: "+1.50", "−0.75". */
final class Signed
{
    /** @param string $figure a decimal; a zero counts as a gain */
    public static function of(string $figure): string
    {
        return str_starts_with($figure, '-') ? '−'.substr($figure, 1) : '+'.$figure;
    }
}
