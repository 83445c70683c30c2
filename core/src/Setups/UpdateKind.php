<?php

declare(strict_types=1);

namespace Watchpost\Core\Setups;

enum UpdateKind: string
{
    case MoveStop = 'move_stop';
    case MoveTarget = 'move_target';
    case CancelWaiting = 'cancel_waiting';
    case Exit = 'exit';
    case Note = 'note';
}
