<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups\Conditions;

use Watchpost\Core\Setups\Leg;

/** A condition that is known at every moment and needs nothing to be followed; a class says where it differs. */
trait Known
{
    public function studies(): array
    {
        return [];
    }

    public function needsVolume(): bool
    {
        return false;
    }

    public function unknowableFor(Leg $leg, bool $sessions): ?string
    {
        return null;
    }
}
