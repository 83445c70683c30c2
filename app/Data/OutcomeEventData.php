<?php

declare(strict_types=1);

namespace App\Data;

final readonly class OutcomeEventData
{
    public function __construct(public string $when, public ?string $session, public string $what, public ?string $price, public ?string $share, public string $note)
    {
    }
}
