<?php

declare(strict_types=1);

namespace Watchpost\Core\Outcomes;

enum EventKind: string
{
    case Fill = 'fill';
    case Void = 'void';
    case Target = 'target';
    case Stop = 'stop';
    case Expired = 'expired';
    case Cancelled = 'cancelled';
}
