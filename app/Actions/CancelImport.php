<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\ImportState;
use App\Models\Import;

/** Stops an import before it writes; what is being written in one go is left to end. */
final class CancelImport
{
    public function __invoke(Import $import): void
    {
        Import::query()->whereKey($import->id)
            ->whereIn('state', [ImportState::Queued, ImportState::Checking])
            ->update(['state' => ImportState::Cancelled, 'message' => 'Cancelled. Nothing was imported.']);
    }
}
