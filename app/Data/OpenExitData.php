<?php

declare(strict_types=1);

namespace App\Data;

/** Out at the open of a session held, unless it gaps so far with the trade. */
final readonly class OpenExitData
{
    public function __construct(public int $session, public ?string $gapMin)
    {
    }
}
