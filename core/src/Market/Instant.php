<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** The written form of a moment: ISO 8601 in UTC, whole seconds. */
final class Instant
{
    public static function format(int $moment): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', $moment);
    }
}
