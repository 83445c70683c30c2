<?php

declare(strict_types=1);

namespace App\Data;

/** Something that happened since a reader looked last. */
final readonly class ChangeSinceData
{
    /** @param bool $isFollowed it is about a setup on the reader's own list */
    public function __construct(public string $when, public string $what, public string $path, public bool $isFollowed)
    {
    }
}
