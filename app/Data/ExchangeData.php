<?php

declare(strict_types=1);

namespace App\Data;

/** An exchange with its hours, in words. */
final readonly class ExchangeData
{
    public function __construct(public string $name, public string $hours, public string $extended, public string $now, public string $exceptions, public int $instruments)
    {
    }
}
