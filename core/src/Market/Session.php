<?php

declare(strict_types=1);

namespace Watchpost\Core\Market;

/** A trading session: its date and, in Unix seconds, when it opens and closes. */
final readonly class Session
{
    public const USUAL_MINUTES = 390;

    public function __construct(public string $date, public int $open, public int $close)
    {
    }
}
