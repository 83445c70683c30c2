<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\RunState;
use App\Models\Rehearsal;

/** Stops a rehearsal after the instrument in work. The cases found by then are kept. */
final class CancelRehearsal
{
    public function __invoke(Rehearsal $rehearsal): void
    {
        Rehearsal::query()->whereKey($rehearsal->id)->whereIn('state', RunState::underWay())
            ->update(['state' => RunState::Cancelled, 'message' => 'Cancelled; the cases found by then are kept.']);
    }
}
