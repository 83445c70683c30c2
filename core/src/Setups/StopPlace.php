<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** Where behind structure a stop lies. */
enum StopPlace: string
{
    case Swing = 'swing';
    case Level = 'level';
    case Range = 'range';
}
