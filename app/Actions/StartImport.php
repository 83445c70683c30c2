<?php

declare(strict_types=1);

namespace App\Actions;

use App\Enums\ImportState;
use App\Import\Fields;
use App\Import\Mapping;
use App\Jobs\RunImport;
use App\Models\Import;
use Illuminate\Validation\ValidationException;

/** Has a file checked and written as it is mapped. A file that was refused can be mapped anew and started again. */
final class StartImport
{
    public function __invoke(Import $import): void
    {
        $missing = Fields::missing($import->kind, Mapping::fromArray($import->mapping));
        if ($missing !== []) {
            throw ValidationException::withMessages(['columns' => 'Say which column holds: '.implode(', ', $missing).'.']);
        }
        $begun = Import::query()->whereKey($import->id)
            ->whereIn('state', [ImportState::Preview, ImportState::Refused, ImportState::Cancelled, ImportState::Failed])
            ->update(['state' => ImportState::Queued, 'message' => null, 'lines_done' => 0, 'faults' => [], 'fault_count' => 0]);
        if ($begun === 0) {
            throw ValidationException::withMessages(['import' => 'This import runs already, or is done.']);
        }
        RunImport::dispatch($import->id);
    }
}
