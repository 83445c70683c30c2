<?php

declare(strict_types=1);

namespace App\Enums;

/** Whether the reason for a setup held, whatever came of it. */
enum ReasonJudgement: string
{
    case Held = 'held';
    case Partly = 'partly';
    case Failed = 'failed';
}
