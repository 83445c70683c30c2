<?php

declare(strict_types=1);

namespace Watchpost\Core\Levels;

/** A time that price came to a level. */
final readonly class Touch
{
    /** @param int $price how far it came, in units */
    public function __construct(public string $session, public int $price, public TouchKind $kind)
    {
    }
}
