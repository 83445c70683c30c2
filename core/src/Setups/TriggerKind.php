<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** The triggers an author can plan with. */
enum TriggerKind: string
{
    case Touch = 'touch';
    case Break = 'break';
}
