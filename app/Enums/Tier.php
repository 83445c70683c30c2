<?php

declare(strict_types=1);

namespace App\Enums;

/** What a subscriber has subscribed to; a higher tier reads all that a lower one does. */
enum Tier: string
{
    case Harbour = 'harbour';
    case Pilot = 'pilot';

    public function reads(self $part): bool
    {
        return $this === self::Pilot || $part === self::Harbour;
    }

    public function label(): string
    {
        return ucfirst($this->value);
    }
}
