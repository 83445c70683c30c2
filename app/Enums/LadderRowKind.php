<?php

declare(strict_types=1);

namespace App\Enums;

enum LadderRowKind: string
{
    case Level = 'level';
    case Entry = 'entry';
    case Stop = 'stop';
    case Target = 'target';
    case Cancel = 'cancel';
    case Last = 'last';
    /** A level of the cross-check. */
    case Found = 'found';
}
