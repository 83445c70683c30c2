<?php

declare(strict_types=1);

namespace Watchpost\Core\Verification;

/** One thing that was recomputed: as it was claimed, or what it should be. */
final readonly class Finding
{
    public function __construct(public string $what, public bool $isAsClaimed, public string $says)
    {
    }

    public function line(): string
    {
        return ($this->isAsClaimed ? 'as claimed  ' : 'DIFFERS     ')."{$this->what}: {$this->says}";
    }
}
