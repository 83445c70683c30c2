<?php

declare(strict_types=1);

namespace App\Enums;

/** Over whose past a setup is rehearsed. */
enum RehearsalScope: string
{
    case Instrument = 'instrument';
    case Group = 'group';
}
