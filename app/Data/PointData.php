<?php

declare(strict_types=1);

namespace App\Data;

/** A point of a line: a session and a price. */
final readonly class PointData
{
    public function __construct(public string $session, public string $price)
    {
    }
}
