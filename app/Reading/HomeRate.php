<?php

declare(strict_types=1);

namespace App\Reading;

use Brick\Math\BigRational;

/** What one unit of a currency is worth in the home currency, and from where that is known. */
final readonly class HomeRate
{
    /** @param string|null $pair symbol it was read from; null for the home currency itself */
    public function __construct(public BigRational $rate, public ?string $pair)
    {
    }
}
