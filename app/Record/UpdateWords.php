<?php

declare(strict_types=1);

namespace App\Record;

use App\Models\Update;
use Watchpost\Core\Setups\UpdateKind;

/** An update in a few words of plain English. */
final class UpdateWords
{
    public static function of(Update $update): string
    {
        return match ($update->kind) {
            UpdateKind::MoveStop => "Stop moved to {$update->price}",
            UpdateKind::MoveTarget => "Target {$update->number} moved to {$update->price}",
            UpdateKind::CancelWaiting => 'The wait is cancelled',
            UpdateKind::Exit => $update->share === '1' ? 'All of what is open is taken off' : ((int) round(100 * (float) $update->share)).' % of what is open is taken off',
            UpdateKind::Note => 'Note',
        };
    }
}
