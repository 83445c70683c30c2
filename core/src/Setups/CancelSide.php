<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

/** On which side of the entries the cancel price lies: toward the stop (losing) or toward the targets (winning). */
enum CancelSide: string
{
    case Stop = 'stop';
    case Target = 'target';
}
