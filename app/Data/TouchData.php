<?php

declare(strict_types=1);

namespace App\Data;

use Watchpost\Core\Levels\TouchKind;

/** A time that price came to a level. */
final readonly class TouchData
{
    /** @param float $value the price, for drawing */
    public function __construct(public string $session, public string $date, public string $price, public float $value, public TouchKind $kind, public bool $beforeMarked)
    {
    }
}
